import { act, render, screen } from '@testing-library/react';
import { Suspense } from 'react';
import { later } from './later';

const Part = ({ name }: { name: string }) => <p>part of {name}</p>;
const shown = (Component: React.ComponentType<{ name: string }>) => (
  <Suspense fallback="loading">
    <Component name="a project" />
  </Suspense>
);

it('is waited for where its code is not there, and loaded once', async () => {
  const from = vi.fn(() => Promise.resolve(Part));
  const Later = later(from);
  await act(async () => {
    render(shown(Later));
    await Later.load();
  });
  expect(screen.getByText('part of a project')).toBeTruthy();
  expect(from).toHaveBeenCalledTimes(1);
});

it('is built at once where its code is there', async () => {
  const Later = later(() => Promise.resolve(Part));
  await Later.load();
  render(shown(Later));
  expect(screen.getByText('part of a project')).toBeTruthy();
});

it('is asked for again after it could not be loaded', async () => {
  const from = vi.fn(() => Promise.resolve(Part)).mockRejectedValueOnce(new TypeError('no answer'));
  const Later = later(from);
  await expect(Later.load()).rejects.toThrow('no answer');
  await Later.load();
  render(shown(Later));
  expect(screen.getByText('part of a project')).toBeTruthy();
});
