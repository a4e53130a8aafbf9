import type { RequestHandler } from 'express';
import { Failure } from './failure';

/** Names by which this machine calls itself. */
const OWN_HOSTS = ['127.0.0.1', 'localhost', '[::1]'];

/** The name of a `Host` header without its port; undefined when it is none. */
const nameOf = (header: string | undefined): string | undefined =>
  /^(\[[0-9a-f:.]+\]|[^:/?#@\s]+)(:\d{1,5})?$/i.exec(header ?? '')?.[1]?.toLowerCase();

/**
 * Answers only who calls the server by a name it knows. A page elsewhere can have its own name lead to this machine, and
 * would then be of one origin with everything here.
 * @param more names under which a proxy in front passes requests on
 */
export function knownHosts(more: readonly string[]): RequestHandler {
  const known = new Set([...OWN_HOSTS, ...more.map((name) => name.toLowerCase())]);
  return (request, _response, next) => {
    const name = nameOf(request.headers.host);
    if (name === undefined || !known.has(name)) {
      throw new Failure(
        'forbidden',
        'Mendrel does not answer under this address; whoever runs it can add the host name to MENDREL_HOSTS',
      );
    }
    next();
  };
}

/** Pages of other origins must not change anything here through their visitor's browser. */
export const ownOrigin: RequestHandler = (request, _response, next) => {
  const { origin, host } = request.headers;
  const reads = request.method === 'GET' || request.method === 'HEAD';
  if (!reads && origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`) {
    throw new Failure('forbidden', 'this request comes from another web page');
  }
  next();
};
