import { EntitySchema } from 'typeorm';

/** A signed-in browser. Written by the session store alone; here so that the schema is described in one place. */
export interface SessionRow {
  sid: string;
  sess: { memberId?: string };
  expire: Date;
}

export const SessionEntity = new EntitySchema<SessionRow>({
  name: 'Session',
  tableName: 'session',
  columns: {
    sid: { type: 'character varying', primary: true },
    sess: { type: 'json' },
    expire: { type: 'timestamp without time zone', precision: 6 },
  },
});
