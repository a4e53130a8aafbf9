import type { Finding } from './finding';

/**
 * What findings of several sheets have in common when one and the same act mends them all: their kind and the place in the
 * design. Values and lengths differ from sheet to sheet, and so do the names of views.
 */
export const topicOf = ({ weight, kind, where }: Finding): string => {
  const place = Object.entries(where).filter(([what]) => what !== 'view');
  return JSON.stringify([weight, kind, place.sort()]);
};
