/** What a stand-in for the server is asked. */
export interface Asked {
  method: string;
  /** Path without `/api`. */
  path: string;
  /** What follows the path, with its question mark. */
  search: string;
  body: unknown;
}

/**
 * Puts a function in the server's place: it gets each request and gives status and body of the answer. Relative addresses are
 * completed, as a browser does.
 */
export function answering(answer: (asked: Asked) => { status?: number; body: unknown }): void {
  const Plain = Request;
  globalThis.Request = class extends Plain {
    constructor(input: RequestInfo | URL, init?: RequestInit) {
      super(typeof input === 'string' ? new URL(input, 'http://mendrel.test') : input, init);
    }
  };
  globalThis.fetch = async (input) => {
    const request = new Request(input);
    const text = await request.text();
    const url = new URL(request.url);
    const { status = 200, body } = answer({
      method: request.method,
      path: url.pathname.replace(/^\/api/, ''),
      search: url.search,
      body: text === '' ? undefined : (JSON.parse(text) as unknown),
    });
    return new Response(JSON.stringify(body), { status, headers: { 'Content-Type': 'application/json' } });
  };
}
