import type { ApiError } from '@mendrel/contract';

const STATUS: Record<ApiError['code'], number> = {
  invalid: 400,
  forbidden: 403,
  'not-found': 404,
  conflict: 409,
  'in-use': 409,
  'too-large': 413,
  unreadable: 422,
  stopped: 409,
  'too-many': 429,
  unavailable: 503,
  internal: 500,
};

/** An error that a client is meant to see. */
export class Failure extends Error {
  override name = 'Failure';
  readonly status: number;
  constructor(
    readonly code: ApiError['code'],
    message: string,
    readonly where?: string,
  ) {
    super(message);
    this.status = STATUS[code];
  }

  toJSON(): ApiError {
    return { code: this.code, message: this.message, ...(this.where === undefined ? {} : { where: this.where }) };
  }
}

export const notFound = (what: string): Failure =>
  new Failure('not-found', `there is no such ${what}; it may have been deleted`);

export const conflict = (what: string): Failure =>
  new Failure('conflict', `someone else has changed this ${what} in the meantime; your change was not saved`);
