// The peer of the register's API: a project's sheets read and a title written by bare SQL in Express, and nothing else.
import express from 'express';
import pg from 'pg';

const pool = new pg.Pool({ connectionString: process.env.DATABASE_URL, max: 8 });
const app = express();
app.use(express.json());
app.get('/projects/:id/sheets', async (request, response) => {
  const { rows } = await pool.query('select * from sheets where project_id = $1 order by number', [request.params.id]);
  response.json(rows);
});
app.patch('/sheets/:id', async (request, response) => {
  const { title, version } = request.body;
  const { rows } = await pool.query(
    'update sheets set title = $1, version = version + 1 where id = $2 and version = $3 returning *',
    [title, request.params.id, version],
  );
  response.status(rows.length === 0 ? 409 : 200).json(rows[0] ?? {});
});
const server = app.listen(0, '127.0.0.1', () => process.send({ port: server.address().port }));
