import { EntitySchema } from 'typeorm';

/** The header of a log's columns; their numbers lie in parts. Made from the raw file, and made anew by a newer reader. */
export interface LogColumnsRow {
  logId: string;
  workshopId: string;
  readerVersion: number;
  header: string;
  madeAt: Date;
}

export const LogColumnsEntity = new EntitySchema<LogColumnsRow>({
  name: 'LogColumns',
  tableName: 'log_columns',
  columns: {
    logId: { type: 'uuid', name: 'log_id', primary: true },
    workshopId: { type: 'uuid', name: 'workshop_id' },
    readerVersion: { type: 'integer', name: 'reader_version' },
    header: { type: 'text' },
    madeAt: { type: 'timestamptz', name: 'made_at', createDate: true },
  },
});

/** Up to 65,536 numbers of one array, compressed. */
export interface LogColumnPartRow {
  logId: string;
  arrayPosition: number;
  part: number;
  bytes: Buffer;
}

export const LogColumnPartEntity = new EntitySchema<LogColumnPartRow>({
  name: 'LogColumnPart',
  tableName: 'log_column_part',
  columns: {
    logId: { type: 'uuid', name: 'log_id', primary: true },
    arrayPosition: { type: 'integer', name: 'array_position', primary: true },
    part: { type: 'integer', primary: true },
    bytes: { type: 'bytea' },
  },
});
