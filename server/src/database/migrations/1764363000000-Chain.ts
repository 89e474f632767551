import { createHash } from 'node:crypto';
import type { MigrationInterface, QueryRunner } from 'typeorm';

/** As it was when the chain began: what is written here never changes, whatever becomes of the ledger's own. */
function canonical(value: unknown): string {
  return JSON.stringify(value, (_key, inner: unknown) => {
    if (inner === null || typeof inner !== 'object' || Array.isArray(inner)) return inner;
    return Object.fromEntries(
      Object.entries(inner as Record<string, unknown>)
        .filter(([, v]) => v !== undefined)
        .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)),
    );
  });
}

interface Stored {
  id: string;
  job_id: string;
  seq: number;
  author_id: string;
  author_name: string;
  device_time: Date;
  server_time: Date;
  supersedes: string | null;
  body: unknown;
}

const PAGE = 500;

/** Entries of a job are chained: each has the hash of itself and of the one before. Those that came by archive are marked. */
export class Chain1764363000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    await runner.query(`
      ALTER TABLE entry ADD COLUMN chain_hash text, ADD COLUMN imported_at timestamptz;
      ALTER TABLE entry DISABLE TRIGGER entry_append_only;
    `);
    let [after, link] = [{ job: '00000000-0000-0000-0000-000000000000', seq: 0 }, ''];
    for (;;) {
      const rows = (await runner.query(
        `SELECT id, job_id, seq, author_id, author_name, device_time, server_time, supersedes, body FROM entry
          WHERE (job_id, seq) > ($1::uuid, $2::int) ORDER BY job_id, seq LIMIT ${PAGE}`,
        [after.job, after.seq],
      )) as Stored[];
      const links: { id: string; link: string }[] = [];
      for (const row of rows) {
        if (row.job_id !== after.job) link = '';
        const text = canonical({
          id: row.id,
          deviceTime: row.device_time.toISOString(),
          ...(row.supersedes === null ? {} : { supersedes: row.supersedes }),
          body: row.body,
          jobId: row.job_id,
          seq: row.seq,
          authorId: row.author_id,
          authorName: row.author_name,
          serverTime: row.server_time.toISOString(),
        });
        link = createHash('sha256').update(`${link}\n${text}`).digest('hex');
        links.push({ id: row.id, link });
        after = { job: row.job_id, seq: row.seq };
      }
      await runner.query(
        `UPDATE entry SET chain_hash = l.link FROM jsonb_to_recordset($1::jsonb) AS l(id uuid, link text)
          WHERE entry.id = l.id`,
        [JSON.stringify(links)],
      );
      if (rows.length < PAGE) break;
    }
    await runner.query(`
      ALTER TABLE entry ENABLE TRIGGER entry_append_only;
      ALTER TABLE entry ALTER COLUMN chain_hash SET NOT NULL;
    `);
  }

  async down(runner: QueryRunner): Promise<void> {
    await runner.query('ALTER TABLE entry DROP COLUMN chain_hash, DROP COLUMN imported_at');
  }
}
