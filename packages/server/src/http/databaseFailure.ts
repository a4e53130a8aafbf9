import { Failure } from './failure';

/** What drivers and the operating system throw; the layers in between wrap it. */
interface DriverError {
  name?: string;
  message?: string;
  code?: string;
  nativeError?: DriverError;
}

const AWAY = 'the database does not answer at the moment; try again when it is back';
const DISK_FULL =
  'the disk of the database is full, so this was not saved; once there is room on it again, Mendrel goes on by itself';

/** Codes of the operating system and of PostgreSQL (its documentation, appendix A) for a database that is not there. */
const AWAY_CODES =
  /^(ECONNREFUSED|ECONNRESET|EPIPE|ETIMEDOUT|ENOTFOUND|EHOSTUNREACH|08\w{3}|57P0[1-5]|57014|53[23]00|25006)$/;
/** What the pool and the driver say without a code. */
const AWAY_WORDS =
  /Connection terminated|timeout exceeded when trying to connect|timeout expired|Query read timeout|acquiring a connection/i;
const DISK_WORDS = /No space left on device/i;

/** What went wrong in or on the way to the database, in words; undefined for what is no such thing. */
export function databaseFailureOf(error: unknown): Failure | undefined {
  if (typeof error !== 'object' || error === null) return undefined;
  const own = error as DriverError;
  const { code = '', message = '' } = own.nativeError ?? own;
  if (code === '53100' || code === 'ENOSPC' || DISK_WORDS.test(message)) return new Failure('unavailable', DISK_FULL);
  if (own.name === 'KnexTimeoutError' || AWAY_CODES.test(code) || AWAY_WORDS.test(message))
    return new Failure('unavailable', AWAY);
  // Two changes that waited for each other: one of them is taken back as a whole.
  if (code === '40P01' || code === '40001')
    return new Failure('conflict', 'two changes met at the same moment; this one was not saved, try again');
  if (code === '23503')
    return new Failure('conflict', 'something that this refers to was deleted in the meantime; it was not saved');
  if (/^22(021|P02|P05|003|P03)$/.test(code))
    return new Failure('invalid', 'there is something in this that the database cannot keep');
  return undefined;
}
