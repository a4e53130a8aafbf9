// What tests of the interface run in: jsdom, and what browsers have besides and Node has as well.
import { TestEnvironment } from 'jest-environment-jsdom';

const SHARED = [
  'TextEncoder',
  'TextDecoder',
  'ReadableStream',
  'WritableStream',
  'TransformStream',
  'Request',
  'Response',
  'Headers',
  'fetch',
  'structuredClone',
];

export default class BrowserEnvironment extends TestEnvironment {
  async setup() {
    await super.setup();
    for (const name of SHARED) this.global[name] ??= globalThis[name];
  }
}
