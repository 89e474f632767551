import { DataSource } from 'typeorm';
import type { Logger } from 'pino';
import { BlobChunkEntity, BlobEntity } from './entities/blob.entity.ts';
import { CustomerEntity } from './entities/customer.entity.ts';
import { FilterModelEntity } from './entities/filterModel.entity.ts';
import { MailEntity, ShareEntity } from './entities/share.entity.ts';
import { JobEntity } from './entities/job.entity.ts';
import { JobSealEntity } from './entities/jobSeal.entity.ts';
import { EntryEntity } from './entities/entry.entity.ts';
import { LimitsProfileEntity } from './entities/limitsProfile.entity.ts';
import { ChannelCorrectionEntity } from './entities/channelCorrection.entity.ts';
import { LogColumnPartEntity, LogColumnsEntity } from './entities/logColumns.entity.ts';
import { LogEntity } from './entities/log.entity.ts';
import { LogFailureEntity } from './entities/logFailure.entity.ts';
import { KnownNetworkEntity, MemberEntity, WorkshopEntity } from './entities/member.entity.ts';
import { PhotoEntity } from './entities/photo.entity.ts';
import { PhotoCopyEntity } from './entities/photoCopy.entity.ts';
import { FluidEntity } from './entities/fluid.entity.ts';
import { SessionEntity } from './entities/session.entity.ts';
import { VehicleEntity } from './entities/vehicle.entity.ts';
import { Ground1732400000000 } from './migrations/1732400000000-Ground.ts';
import { LogColumns1764000000000 } from './migrations/1764000000000-LogColumns.ts';
import { Photos1764200000000 } from './migrations/1764200000000-Photos.ts';
import { FilterCatalyst1764320000000 } from './migrations/1764320000000-FilterCatalyst.ts';
import { HandOver1764330000000 } from './migrations/1764330000000-HandOver.ts';
import { Fleet1764350000000 } from './migrations/1764350000000-Fleet.ts';
import { LogFailures1764361000000 } from './migrations/1764361000000-LogFailures.ts';
import { Repair1764360000000 } from './migrations/1764360000000-Repair.ts';
import { Seals1764362000000 } from './migrations/1764362000000-Seals.ts';
import { Chain1764363000000 } from './migrations/1764363000000-Chain.ts';
import { People1764364000000 } from './migrations/1764364000000-People.ts';
import { PhotoCopies1764365000000 } from './migrations/1764365000000-PhotoCopies.ts';
import { Advice1764366000000 } from './migrations/1764366000000-Advice.ts';
import { Currency1764376000000 } from './migrations/1764376000000-Currency.ts';
import { Visits1764340000000 } from './migrations/1764340000000-Visits.ts';
import { Fluids1764310000000 } from './migrations/1764310000000-Fluids.ts';
import { Clocks1764300000000 } from './migrations/1764300000000-Clocks.ts';

export const ENTITIES = [
  WorkshopEntity,
  MemberEntity,
  KnownNetworkEntity,
  SessionEntity,
  CustomerEntity,
  FilterModelEntity,
  VehicleEntity,
  LimitsProfileEntity,
  JobEntity,
  JobSealEntity,
  EntryEntity,
  LogEntity,
  BlobEntity,
  BlobChunkEntity,
  LogColumnsEntity,
  LogColumnPartEntity,
  LogFailureEntity,
  ChannelCorrectionEntity,
  PhotoEntity,
  PhotoCopyEntity,
  FluidEntity,
  ShareEntity,
  MailEntity,
];

export const MIGRATIONS = [
  Ground1732400000000,
  LogColumns1764000000000,
  Photos1764200000000,
  Clocks1764300000000,
  Fluids1764310000000,
  FilterCatalyst1764320000000,
  HandOver1764330000000,
  Visits1764340000000,
  Fleet1764350000000,
  Repair1764360000000,
  LogFailures1764361000000,
  Seals1764362000000,
  Chain1764363000000,
  People1764364000000,
  PhotoCopies1764365000000,
  Advice1764366000000,
  Currency1764376000000,
];

/** Longest that a statement of a request may take, and a lock be waited for; a transaction that does nothing ends, too. */
const STATEMENT_MS = 30_000;
const LOCK_MS = 10_000;
const IDLE_MS = 60_000;

export function createDataSource(
  url: string,
  log?: Logger,
  { poolSize = 10, statementTimeoutMs = STATEMENT_MS } = {},
): DataSource {
  return new DataSource({
    type: 'postgres',
    url,
    entities: ENTITIES,
    migrations: MIGRATIONS,
    synchronize: false,
    poolSize,
    connectTimeoutMS: 5000,
    extra:
      statementTimeoutMs > 0
        ? {
            statement_timeout: statementTimeoutMs,
            lock_timeout: LOCK_MS,
            idle_in_transaction_session_timeout: IDLE_MS,
          }
        : {},
    // Without a handler a database that goes away would take the process with it.
    poolErrorHandler: (error: unknown) => log?.warn({ err: error }, 'database connection lost'),
  });
}
