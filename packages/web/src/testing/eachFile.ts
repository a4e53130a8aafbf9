import { cleanup, configure } from '@testing-library/react';

// What is waited for comes at once or never; only a failure takes as long, so a slow machine makes none.
configure({ asyncUtilTimeout: 15_000 });

/** What tests put something of their own in the place of; the files after them begin with what was there. */
const STOOD_IN_FOR: readonly (readonly [object, string])[] = [
  [globalThis, 'fetch'],
  [globalThis, 'Request'],
  [globalThis, 'ResizeObserver'],
  [globalThis, 'requestIdleCallback'],
  [globalThis, 'cancelIdleCallback'],
  [URL, 'createObjectURL'],
  [URL, 'revokeObjectURL'],
  [Element.prototype, 'scrollIntoView'],
  [Element.prototype, 'setPointerCapture'],
  [HTMLCanvasElement.prototype, 'getContext'],
];
const before = STOOD_IN_FOR.map(([owner, name]) => Object.getOwnPropertyDescriptor(owner, name));

// Files share one page: what one of them has shown or kept, no other one meets.
afterEach(() => {
  cleanup();
  localStorage.clear();
});
afterAll(() => {
  for (const [i, [owner, name]] of STOOD_IN_FOR.entries()) {
    const was = before[i];
    if (was) Object.defineProperty(owner, name, was);
    else Reflect.deleteProperty(owner, name);
  }
});
