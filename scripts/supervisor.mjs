// Watches over the server and its database: what ends by itself is told and started again.
import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { join } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { Cluster, ClusterStopped } from './cluster.mjs';
import { root } from './paths.mjs';

/** Servers that may end within so many ms before it is given up. */
const MOST_ENDS = 5;
const WITHIN = 60_000;
/** Longest wait before the database is tried again, in ms; a disk that is full may stay so for a while. */
const LONGEST_WAIT = 30_000;
/** How long a server may take to end in order, in ms. */
const STOP_TIME = 15_000;

const reasonOf = (code, signal) => (signal ? `by ${signal}` : `with code ${code}`);

export class Supervisor {
  #stopping = new AbortController();
  #on;
  #cluster;
  #server;
  #url;
  /** When servers ended by themselves, the latest last. */
  #ends = [];

  /** @param {{ folder: string, databaseUrl?: string, ready: (url: string) => void }} on without an address of a database it has one of its own in the folder */
  constructor(on) {
    this.#on = on;
    this.#url = on.databaseUrl;
  }

  /**
   * Runs database and server until they are stopped, or cannot be run.
   * @returns {Promise<number>} the exit code
   */
  async run() {
    try {
      if (!this.#on.databaseUrl) {
        this.#cluster = new Cluster({ folder: this.#on.folder, database: 'mendrel', port: 4311 });
        this.#url = await this.#cluster.start();
        void this.#watchDatabase();
      }
      return await this.#serve();
    } catch (error) {
      if (error instanceof ClusterStopped || this.#stopping.signal.aborted) return 0;
      throw error;
    } finally {
      await this.stop();
    }
  }

  /** Ends the server and then the database; both, when it resolves. */
  async stop() {
    this.#stopping.abort();
    const server = this.#server;
    if (server && server.exitCode === null && server.signalCode === null) {
      const gone = once(server, 'exit');
      server.kill('SIGTERM');
      const hurry = setTimeout(() => server.kill('SIGKILL'), STOP_TIME);
      await gone;
      clearTimeout(hurry);
    }
    await this.#cluster?.stop();
  }

  async #serve() {
    let wasReady = false;
    for (;;) {
      if (this.#stopping.signal.aborted) return 0;
      const address = this.#url;
      // In a session of its own: Ctrl-C reaches this program only, which stops server and database in order.
      const server = spawn(process.execPath, [join(root, 'dist/server.mjs')], {
        cwd: root,
        env: { ...process.env, DATABASE_URL: address },
        stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
        detached: true,
      });
      this.#server = server;
      server.on('message', (message) => {
        if (!message.ready) return;
        wasReady = true;
        this.#on.ready(message.ready);
      });
      const [code, signal] = await once(server, 'exit');
      if (this.#stopping.signal.aborted) return 0;
      // One that never was ready has said why, and would say it again.
      if (!wasReady) return code ?? 1;
      const now = Date.now();
      this.#ends = [...this.#ends.filter((time) => now - time < WITHIN), now];
      if (this.#ends.length > MOST_ENDS) {
        console.error(`The server has ended ${this.#ends.length} times within a minute; Mendrel is stopped`);
        return 1;
      }
      console.error(`The server ended ${reasonOf(code, signal)}; it is started again`);
      await this.#pause(1000 * (this.#ends.length - 1));
    }
  }

  async #watchDatabase() {
    for (;;) {
      await this.#cluster.ended();
      if (this.#stopping.signal.aborted) return;
      console.error('The database ended by itself; it is started again');
      for (let pause = 1000; ; pause = Math.min(2 * pause, LONGEST_WAIT)) {
        try {
          const url = await this.#cluster.start();
          console.error('The database is back');
          // On another port, if its own was taken meanwhile: the server has to be told, which is done by starting it anew.
          if (url !== this.#url) {
            this.#url = url;
            this.#server?.kill('SIGTERM');
          }
          break;
        } catch (error) {
          if (this.#stopping.signal.aborted) return;
          console.error(`The database cannot be started: ${error.message}; tried again in ${pause / 1000} s`);
          await this.#pause(pause);
          if (this.#stopping.signal.aborted) return;
        }
      }
    }
  }

  async #pause(ms) {
    await wait(ms, undefined, { signal: this.#stopping.signal }).catch(() => undefined);
  }
}
