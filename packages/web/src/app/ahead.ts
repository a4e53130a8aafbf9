/**
 * What a place needs first, asked for while the interface itself is still on its way: on a slow machine that takes longer
 * than the answers do. Nothing else may be imported here, or it would be waited for as well.
 */

/** The code of the places that are opened most by their addresses. */
export const CODE_OF = {
  desk: () => import('../places/desk/Desk'),
  projects: () => import('../places/projects/ProjectList'),
  project: () => import('../places/projects/ProjectPlace'),
} as const;

/** A place, by the form of its address, and what it asks the server for; `$1` is what the first brackets hold. */
const FIRST_NEEDED: readonly { place: keyof typeof CODE_OF; address: RegExp; asks: readonly string[] }[] = [
  { place: 'desk', address: /^\/(desk)?$/, asks: ['/desk?page=0'] },
  { place: 'projects', address: /^\/projects$/, asks: ['/projects'] },
  {
    place: 'project',
    address: /^\/projects\/([\w-]+)\/[\w-]+$/,
    asks: ['/projects/$1/sheets', '/projects', '/projects/$1/designs', '/projects/$1/tables', '/office', '/designs'],
  },
];

/** How long an answer that nobody came for is kept, in ms; it would be out of date later. */
const KEPT_FOR = 10_000;

const answers = new Map<string, Promise<Response>>();

/** Begins to load the code and the answers that the place at an address needs first. */
export function askAhead(address: string): void {
  for (const { place, address: form, asks } of FIRST_NEEDED) {
    if (!form.test(address)) continue;
    for (const ask of asks) {
      const path = `/api${address.replace(form, ask)}`;
      const answer = fetch(path);
      // Whoever needs it asks again, and tells what went wrong.
      answer.catch(() => answers.delete(path));
      answers.set(path, answer);
    }
    // It is asked for again by whoever shows it, who tells what went wrong.
    CODE_OF[place]().catch(() => undefined);
  }
  setTimeout(() => answers.clear(), KEPT_FOR);
}

/** Fetches, unless the answer was asked for ahead; each answer is given once. */
export function fetchOrAsked(request: Request): Promise<Response> {
  const { pathname, search } = new URL(request.url);
  const path = pathname + search;
  const asked = answers.get(path);
  answers.delete(path);
  // What is changed may change every answer.
  if (request.method !== 'GET') answers.clear();
  return request.method === 'GET' && asked ? asked : fetch(request);
}
