/**
 * What a place needs first, asked for while the interface itself is still on its way: on a slow machine that takes longer
 * than the answers do. Nothing else may be imported here but types, or it would be waited for as well.
 */
import type { Project } from '@mendrel/contract';

/** The code of the places that are opened most by their addresses. */
export const CODE_OF = {
  desk: () => import('../places/desk/Desk'),
  projects: () => import('../places/projects/ProjectList'),
  project: () => import('../places/projects/ProjectPlace'),
} as const;

/** The place that is gone to next from a list of projects, and from the Desk. */
export const GONE_TO_NEXT = [{ load: CODE_OF.project }] as const;

/** The code of the parts of a project besides its register, by what they are called in an address. */
export const TAB_CODE = {
  data: () => import('../places/projects/ProjectData'),
  arrange: () => import('../places/projects/views/Arrange'),
  areas: () => import('../places/projects/areas/Areas'),
  revisions: () => import('../places/projects/revisions/Revisions'),
  sets: () => import('../places/projects/sets/Sets'),
  issues: () => import('../places/projects/issues/Issues'),
} as const;

/** Begins to load the code of a part of a project; whoever shows it tells what went wrong. */
export function loadTab(tab: string | undefined): void {
  if (tab !== undefined && Object.hasOwn(TAB_CODE, tab))
    TAB_CODE[tab as keyof typeof TAB_CODE]().catch(() => undefined);
}

/** What a place asks the server for; `$1` is what the first brackets of its address hold. */
interface FirstNeeded {
  place: keyof typeof CODE_OF;
  address: RegExp;
  /** What takes longest comes last: the server answers the rest while it is read. */
  asks: readonly string[];
  /** What is asked for once the first of them is answered. */
  then?: (answer: unknown) => string | undefined;
}

const FIRST_NEEDED: readonly FirstNeeded[] = [
  { place: 'desk', address: /^\/(desk)?$/, asks: ['/desk?page=0'] },
  { place: 'projects', address: /^\/projects$/, asks: ['/projects/page?page=0&find=&archived=false'] },
  {
    place: 'project',
    address: /^\/projects\/([\w-]+)\/([\w-]+)$/,
    asks: ['/projects/$1', '/projects/$1/designs', '/projects/$1/tables', '/office', '/designs', '/projects/$1/sheets'],
    then: (project) => {
      const { standard } = project as Partial<Pick<Project, 'standard'>>;
      return standard === undefined ? undefined : `/standard/revisions/${standard ?? 'draft'}`;
    },
  },
];

/** How long an answer that nobody came for is kept, in ms; it would be out of date later. */
const KEPT_FOR = 10_000;

/**
 * An answer whose words are read as soon as they come, and once: whoever asks for them reads a copy besides, which takes as long
 * again with a register of thousands.
 */
class Answer extends Response {
  private readonly words: Promise<string>;

  constructor(of: Response) {
    super(null, { status: of.status, statusText: of.statusText, headers: of.headers });
    this.words = of.text();
    // Whoever reads them is told.
    this.words.catch(() => undefined);
  }

  override text(): Promise<string> {
    return this.words;
  }

  /** It can be read as often as one likes. */
  override clone(): this {
    return this;
  }
}

const answered = async (asked: Promise<Response>): Promise<Response> => new Answer(await asked);

const answers = new Map<string, Promise<Response>>();

function ask(path: string): Promise<Response> {
  const answer = answered(fetch(path));
  // Whoever needs it asks again, and tells what went wrong.
  answer.catch(() => answers.delete(path));
  answers.set(path, answer);
  return answer;
}

/** Begins to load the code and the answers that the place at an address needs first. */
export function askAhead(address: string): void {
  for (const { place, address: form, asks, then } of FIRST_NEEDED) {
    const found = form.exec(address);
    if (!found) continue;
    const [first] = asks.map((each) => ask(`/api${address.replace(form, each)}`));
    if (then) {
      first
        ?.then(async (answer) => {
          const next = then(JSON.parse(await answer.text()));
          if (next !== undefined) await ask(`/api${next}`);
        })
        .catch(() => undefined);
    }
    // It is asked for again by whoever shows it, who tells what went wrong.
    CODE_OF[place]().catch(() => undefined);
    if (place === 'project') loadTab(found[2]);
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
  return request.method === 'GET' && asked ? asked : answered(fetch(request));
}
