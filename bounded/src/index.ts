export { spawnBounded, type Limits, type Spawned } from './spawnBounded.ts';
export { outrunOf, type Outrun } from './outrun.ts';
export { FrameReader, frame, MOST_FRAME_BYTES } from './frames.ts';
export { runBounded, type BoundedRun } from './runBounded.ts';
export { giveFrames } from './giveFrames.ts';
export { linesIn, openZip, ZipNotReadable, type OpenZip } from './zipFile.ts';
