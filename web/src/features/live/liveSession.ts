import * as wording from '@white-ember/core/words/screens/live';
import {
  type LinkReading,
  type LinkState,
  RecordingText,
  type RoutineId,
  type RoutineState,
} from '@white-ember/core/link';
import { proxy, wrap, type Remote } from 'comlink';
import { v7 as uuidv7 } from 'uuid';
import { type Act, type Wish } from '@white-ember/core/bench';
import type { CheckId, CheckValues } from '@white-ember/core/checks';
import { toBase } from '@white-ember/core/quantities';
import { BaselineGuide, baselinePlan, SteadyFollower, type ChannelRole } from '@white-ember/core/readings';
import type { AtTheVehicle, BenchSetup, BenchWorker } from '../../workers/benchWorker.ts';
import { keepAwake } from './keepAwake.ts';
import { LiveTrace } from './liveTrace.ts';
import { recordingStore, type KeptRecording } from './recordingStore.ts';
import { type LiveState, stateAtFirst } from './liveState.ts';

const CAPTURE_AFTER_S = 6;
const ASK_EVERY_MS = 500;
/** Batches of readings after which every channel has come at least once, and how long they are waited for. */
const READ_AGAIN_TIMES = 12;
const READ_AGAIN_LONGEST_MS = 3000;

/** A crash loses at most what came since the last piece. */
const PIECE_EVERY_MS = 1000;

/** A vehicle on the bench, the link to it, and what is recorded from it. One a page; ends with it. */
export class LiveSession {
  readonly jobId: string;
  readonly displacementL: number | undefined;
  readonly traces = new Map<string, LiveTrace>();
  readonly #worker: Worker;
  readonly #remote: Remote<BenchWorker>;
  readonly #listeners = new Set<() => void>();
  readonly #onRead = new Set<() => void>();
  readonly #warmC: number;
  #latest = new Map<string, number>();
  #guide: BaselineGuide;
  #follower = new SteadyFollower();
  #capturedStart: number | undefined;
  #text: RecordingText | undefined;
  #unwritten = '';
  #toldMs = 0;
  #pieces = 0;
  #writing: Promise<void> = Promise.resolve();
  #timer: number | undefined;
  #asking: number | undefined;
  #letSleep: (() => void) | undefined;
  #state: LiveState;

  constructor(jobId: string, setup: BenchSetup, displacementL: number | undefined, warmC: number) {
    this.jobId = jobId;
    this.displacementL = displacementL;
    this.#warmC = warmC;
    this.#guide = new BaselineGuide(baselinePlan(displacementL, warmC));
    this.#state = stateAtFirst(this.#guide.steps);
    this.#worker = new Worker(new URL('../../workers/benchWorker.ts', import.meta.url), { type: 'module' });
    this.#remote = wrap<BenchWorker>(this.#worker);
    void this.#remote.setUp(
      setup,
      proxy({
        onReadings: (readings: readonly LinkReading[]) => this.#take(readings),
        onState: (link: LinkState) => this.#linkChanged(link),
        onVehicle: (vehicle: AtTheVehicle) => {
          this.#toldMs = performance.now();
          this.#set({ vehicle });
        },
        onSlept: (sleptS: number) => {
          this.#set({ sleptS });
          void this.#flush();
        },
      }),
    );
  }

  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };
  get = (): LiveState => this.#state;

  #set(next: Partial<LiveState>): void {
    this.#state = { ...this.#state, ...next, version: this.#state.version + 1 };
    for (const listener of this.#listeners) listener();
  }

  /** The last reading of a channel in its base unit. */
  latest = (role: ChannelRole): number | undefined => this.#latest.get(role);

  /** The vehicle's clock at this moment: goes on between what is told, for a fifth of a second at the most. */
  nowS = (): number => {
    const { vehicle, pace } = this.#state;
    if (!vehicle) return 0;
    return vehicle.timeS + (Math.min(performance.now() - this.#toldMs, 200) / 1000) * pace;
  };

  /** Resolves when every channel has been read anew, or soon if nothing comes: what a command changed is seen then. */
  readAgain = (): Promise<void> =>
    new Promise((resolve) => {
      const done = (): void => {
        window.clearTimeout(latest);
        this.#onRead.delete(seen);
        resolve();
      };
      const latest = window.setTimeout(done, READ_AGAIN_LONGEST_MS);
      let times = 0;
      const seen = (): void => {
        times += 1;
        if (times >= READ_AGAIN_TIMES) done();
      };
      this.#onRead.add(seen);
    });

  drive = (wish: Wish): void => void this.#remote.drive(wish);

  setPace = (pace: number): void => {
    void this.#remote.setPace(pace);
    this.#set({ pace });
  };

  /** Connects and streams the wanted channels, as far as the vehicle has them. */
  connect = async (roles: readonly ChannelRole[]): Promise<void> => {
    const { chosen } = this.#state;
    try {
      const identity = await this.#remote.connect();
      const channels = await this.#remote.channels();
      const routines = await this.#remote.routines();
      this.#set({ identity, channels, routines, problem: undefined });
      // Connected anew it goes on with what was streamed before, as a recording needs.
      await (chosen.length > 0 ? this.stream(chosen) : this.choose(roles));
    } catch (error) {
      this.#set({ problem: (error as Error).message });
    }
  };

  /** The road speed comes with every choice: without it a drive would be taken for a hold. */
  choose = (roles: readonly ChannelRole[]): Promise<void> =>
    this.stream(
      this.#state.channels
        .filter(
          ({ role, status }) => (roles.includes(role) || role === 'vehicleSpeed') && status !== 'not-fitted',
        )
        .map(({ id }) => id),
    );

  /** Streams these channels and no others. */
  stream = async (ids: readonly string[]): Promise<void> => {
    try {
      const { hz } = await this.#remote.stream(ids);
      this.#set({ chosen: ids, hz, problem: undefined });
    } catch (error) {
      this.#set({ problem: (error as Error).message });
    }
  };

  readCodes = async (): Promise<void> => {
    try {
      this.#set({ codes: await this.#remote.codes(), problem: undefined });
    } catch (error) {
      this.#set({ problem: (error as Error).message });
    }
  };

  /** Asks the module for a routine and follows it while it runs. Gives its answer, also where it refuses. */
  command = async (id: RoutineId): Promise<RoutineState | undefined> => {
    try {
      const answer = id === 'clear-codes' ? await this.#cleared() : await this.#remote.startRoutine(id);
      this.#set({ routine: answer, problem: undefined });
      if (answer.status === 'running' || id === 'stop') this.#followRoutine();
      return answer;
    } catch (error) {
      this.#set({ problem: (error as Error).message });
      return undefined;
    }
  };

  /** Codes are cleared by a service of their own, which tools have that know no routines. */
  async #cleared(): Promise<RoutineState> {
    const { done, text } = await this.#remote.clearCodes();
    if (done) this.#set({ codes: await this.#remote.codes(), cleared: true });
    return { id: 'clear-codes', elapsedS: 0, status: done ? 'done' : 'refused', text };
  }

  #followRoutine(): void {
    window.clearInterval(this.#asking);
    this.#asking = window.setInterval(() => void this.#askRoutine(), ASK_EVERY_MS);
  }

  async #askRoutine(): Promise<void> {
    try {
      const routine = await this.#remote.routineState();
      if (routine) this.#set({ routine });
      if (routine?.status !== 'running') window.clearInterval(this.#asking);
    } catch {
      // The link is away: how it stands is asked again when it is back.
    }
  }

  /** Does something by hand at the simulated vehicle. */
  perform = async (act: Act): Promise<void> => this.#set({ handsOn: await this.#remote.perform(act) });

  /** Makes a check at the simulated vehicle, which takes its time there; not while it is recorded. */
  answerCheck = async (
    check: CheckId,
  ): Promise<
    { readonly ok: true; readonly values: CheckValues } | { readonly ok: false; readonly why: string }
  > => {
    if (this.#text) return { ok: false, why: wording.endTheRecordingFirstACheckStops };
    return { ok: true, values: await this.#remote.answerCheck(check) };
  };

  setGrade = (grade: number): void => {
    void this.#remote.setGrade(grade);
    this.#set({ grade });
  };

  sleepSeen = (): void => this.#set({ sleptS: undefined });

  mark = (): void => {
    const timeS = this.#state.vehicle?.timeS ?? 0;
    const mark = { timeS, rpm: this.latest('engineSpeed'), deltaPMbar: this.latest('dpfDeltaP') };
    this.#set({ marks: [...this.#state.marks, mark] });
  };

  #linkChanged(link: LinkState): void {
    this.#set({ link });
    if (link.status === 'lost') void this.#flush();
  }

  #take(readings: readonly LinkReading[]): void {
    const byId = new Map(this.#state.channels.map((channel) => [channel.id, channel]));
    for (const { id, timeS, value } of readings) {
      const channel = byId.get(id);
      if (!channel) continue;
      const base = channel.unitId === undefined ? value : toBase(value, channel.unitId);
      let trace = this.traces.get(id);
      if (!trace) {
        trace = new LiveTrace();
        this.traces.set(id, trace);
      }
      trace.push(timeS, base);
      if (channel.status === 'live') this.#latest.set(channel.role, base);
      if (channel.role === 'engineSpeed') this.#follow(timeS, base);
    }
    if (this.#text) this.#unwritten += this.#text.rows(readings);
    this.#set({ steps: this.#guide.steps, run: this.#follower.run });
    for (const seen of [...this.#onRead]) seen();
  }

  #follow(timeS: number, rpm: number): void {
    this.#guide.push({
      timeS,
      rpm,
      coolantC: this.latest('coolantTemp'),
      kmPerH: this.latest('vehicleSpeed'),
    });
    this.#follower.push(timeS, rpm, this.latest('vehicleSpeed'));
    const { run } = this.#follower;
    const deltaPMbar = this.latest('dpfDeltaP');
    const steady = run.kind !== 'moving' && run.steadyS >= CAPTURE_AFTER_S;
    if (!steady || deltaPMbar === undefined || this.#capturedStart === run.startS) return;
    this.#capturedStart = run.startS;
    const capture = { timeS, kind: run.kind, rpm: run.meanRpm, deltaPMbar };
    this.#set({ captures: [...this.#state.captures, capture] });
  }

  /** Begins a recording; the guided baseline begins anew with it. */
  record = (name: string): void => {
    const { identity, channels, chosen } = this.#state;
    if (!identity || this.#state.recording) return;
    const recorded = channels.filter(({ id }) => chosen.includes(id));
    this.#text = new RecordingText(recorded, {
      vehicle: identity.vehicle,
      displacementL: this.displacementL ?? identity.displacementL,
    });
    this.#unwritten = this.#text.head;
    this.#pieces = 0;
    this.#guide = new BaselineGuide(baselinePlan(this.displacementL, this.#warmC));
    this.#set({
      recording: {
        id: uuidv7(),
        jobId: this.jobId,
        name,
        startedAt: new Date().toISOString(),
        ended: false,
        bytes: 0,
        seconds: 0,
      },
      marks: [],
      captures: [],
      steps: this.#guide.steps,
    });
    this.#startS = undefined;
    this.#letSleep = keepAwake();
    this.#timer = window.setInterval(() => void this.#flush(), PIECE_EVERY_MS);
    void this.#flush();
  };

  #startS: number | undefined;

  /** Writes what has come since the last piece. Pieces follow each other in order. */
  #flush(): Promise<void> {
    const { recording, vehicle } = this.#state;
    const text = this.#unwritten;
    if (!recording || text === '') return this.#writing;
    this.#unwritten = '';
    this.#startS ??= vehicle?.timeS;
    const about: KeptRecording = {
      ...recording,
      bytes: recording.bytes + text.length,
      seconds: Math.max(0, (vehicle?.timeS ?? 0) - (this.#startS ?? 0)),
    };
    this.#set({ recording: about });
    const number = this.#pieces++;
    this.#writing = this.#writing
      .then(() => recordingStore.write(about, number, text))
      .catch((error: unknown) =>
        this.#set({ problem: wording.thisDeviceCouldNotStoreThe((error as Error).message) }),
      );
    return this.#writing;
  }

  /** Ends the recording and gives it. */
  stop = async (): Promise<KeptRecording | undefined> => {
    window.clearInterval(this.#timer);
    this.#letSleep?.();
    await this.#flush();
    await this.#writing;
    const { recording } = this.#state;
    if (!recording) return undefined;
    const ended = { ...recording, ended: true };
    await recordingStore.update(ended);
    this.#text = undefined;
    this.#set({ recording: undefined });
    return ended;
  };

  end = (): void => {
    window.clearInterval(this.#timer);
    window.clearInterval(this.#asking);
    this.#letSleep?.();
    void this.#flush();
    this.#worker.terminate();
    this.#listeners.clear();
  };
}
