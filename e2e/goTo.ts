import type { Dialog, Page } from '@playwright/test';
import { expect } from '@playwright/test';

/** Leaves where a page is, with all that was read there; false if what is not saved would be lost, or nothing is loaded yet. */
export async function left(page: Page): Promise<boolean> {
  const loaded = await page.evaluate(() => {
    if (!document.getElementById('root')?.hasChildNodes()) return false;
    if (!window.dispatchEvent(new Event('beforeunload', { cancelable: true }))) return false;
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
    // What a test laid over the page itself.
    for (const each of document.querySelectorAll('[data-of-test]')) each.remove();
    window.history.pushState(null, '', '/left');
    return window.dispatchEvent(new PopStateEvent('popstate', { state: null }));
  });
  if (!loaded) return false;
  await page.getByText('Page not found').waitFor();
  // What stands over every place, such as the list of keys, is still there.
  if ((await page.getByRole('dialog').count()) > 0) return false;
  await page.evaluate(() => document.dispatchEvent(new Event('visibilitychange')));
  // A message of what was done before is not one of what comes, nor is one that waits until that is dismissed.
  const messages = page.getByRole('button', { name: 'Dismiss the message' });
  await expect(async () => {
    await messages.evaluateAll((all) => all.forEach((each) => (each as HTMLElement).click()));
    expect(await messages.count()).toBe(0);
  }).toPass({ timeout: 20_000 });
  return true;
}

/** Loads an address anew. What was not saved goes, as with a page that is closed. */
export async function load(page: Page, address: string): Promise<void> {
  const accept = (dialog: Dialog): void => void dialog.accept();
  page.on('dialog', accept);
  await page.goto(address);
  page.off('dialog', accept);
}

/**
 * Goes to an address as the application's own links do: nothing is read from before, but its scripts need not be loaded and
 * made quick again, which is most of what a browser has to do for a test.
 */
export async function goTo(page: Page, address: string): Promise<void> {
  if (!(await left(page))) return load(page, address);
  await page.evaluate((to) => {
    window.history.pushState(null, '', to);
    window.dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, address);
}
