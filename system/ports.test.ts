import { spawnSync } from 'node:child_process';
import { chmodSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

const folder = mkdtempSync(join(tmpdir(), 'mendrel-ports-'));
afterAll(() => rmSync(folder, { recursive: true }));

// Another program listens on the port in the moment after it was found free.
test('a database whose port is taken while it starts takes another one', () => {
  chmodSync(folder, 0o755);
  const script = `
    import { createServer, Server } from 'node:net';
    import { Cluster } from ${JSON.stringify(join(__dirname, '../scripts/cluster.mjs'))};
    const close = Server.prototype.close;
    let other;
    Server.prototype.close = function (done) {
      const { port } = this.address();
      return close.call(this, () => {
        if (other) done();
        else other = createServer().listen(port, '127.0.0.1', done);
      });
    };
    const port = 41_000 + (process.pid % 9_000);
    const cluster = new Cluster({ folder: ${JSON.stringify(folder)}, database: 'mendrel', port, throwaway: true });
    const url = await cluster.start();
    const taken = other.address().port;
    await cluster.stop();
    process.stdout.write(JSON.stringify({ taken, own: Number(new URL(url).port) }), () => process.exit(0));`;
  const run = spawnSync(process.execPath, ['--input-type=module', '-e', script], { encoding: 'utf8' });
  expect([run.status, run.stderr]).toEqual([0, '']);
  const { taken, own } = JSON.parse(run.stdout) as { taken: number; own: number };
  expect(own).toBeGreaterThan(taken);
});
