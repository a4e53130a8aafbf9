import { useState } from 'react';
import { screen } from '@testing-library/react';
import type { Picture } from '@mendrel/core';
import { shown } from '../../../testing/shown';
import { retype } from '../testing/edited';
import { CropFields } from './CropFields';

const PICTURE: Picture = {
  id: 'p',
  kind: 'picture',
  name: 'Logo',
  horizontal: 'left',
  vertical: 'top',
  rotation: 0,
  width: 40,
  height: 20,
  linework: [],
};

test('shares are cut off each side, never a whole picture, and nothing is left of the entry when all are none', async () => {
  let now = PICTURE;
  function Editing() {
    const [picture, set] = useState(PICTURE);
    now = picture;
    return <CropFields of={picture} onSet={set} />;
  }
  const { user } = shown(<Editing />);
  await user.click(screen.getByRole('button', { name: /^Cut off at its sides/ }));
  await retype(user, 'Cut off left, %', '40');
  await retype(user, 'Cut off top, %', '12,5 %');
  expect(now.crop).toEqual({ left: 40, right: 0, top: 12.5, bottom: 0 });
  expect(screen.getByText('left 40 %, top 12.5 %')).toBeTruthy();
  await retype(user, 'Cut off right, %', '60');
  expect(screen.getByText('A number from 0 to 55.')).toBeTruthy();
  expect(now.crop?.right).toBe(0);
  await retype(user, 'Cut off right, %', '0');
  await retype(user, 'Cut off left, %', '0');
  await retype(user, 'Cut off top, %', '0');
  expect(now).toEqual(PICTURE);
});
