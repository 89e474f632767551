import * as wording from '@white-ember/core/words/screens/burn';
import type { Said } from '@white-ember/core/words';
import { inEnglish } from '@white-ember/core/words';
import type { FilterMaterial } from '@white-ember/core/filter';
import type { Limits } from '@white-ember/core/limits';
import type { ChannelRole } from '@white-ember/core/readings';
import {
  BURN_CHANNELS,
  judgeBurnRun,
  type BurnMoment,
  type BurnState,
  type JobBurn,
  type RunEstimate,
} from '@white-ember/core/treatment';
import { keepAwake } from '../../live/keepAwake.ts';
import type { LiveSession } from '../../live/liveSession.ts';
import { burnRemote } from '../../../workers/burnRemote.ts';

export type BurnKind = 'standing' | 'drive';

/** Channels without which a burn is not watched, and those that help. */
export const BURN_ROLES: readonly ChannelRole[] = [...BURN_CHANNELS.map(([, role]) => role), 'regenActive'];

/** A moment is kept this often, in the vehicle's time, s. */
const MOMENT_EVERY_S = 2;
/** The model is asked this often, ms; it takes a fraction of that. */
const ESTIMATE_EVERY_MS = 1500;
/** Broken for so many moments on end: one wild answer of the model stops nothing. */
const BROKEN_FOR = 3;

export const SEEN = { oilSmoke: wording.blueSmoke, fire: wording.flamesOrAnOilFedFire } as const;

export interface WatchState {
  readonly version: number;
  readonly moments: readonly BurnMoment[];
  readonly estimate: RunEstimate | undefined;
  readonly judged: BurnState;
  readonly stoppedAtS: number | undefined;
  /** Whether it finished by itself, or was stopped and why. */
  readonly how: 'by-itself' | 'stopped' | 'fire' | undefined;
  readonly why: string | undefined;
  /** What the module said when it did not stop. */
  readonly refused: Said | undefined;
  /** The link is away: nothing is read, and nothing can be stopped from here. */
  readonly away: boolean;
}

export interface WatchFacts {
  readonly jobId: string;
  readonly kind: BurnKind;
  readonly limits: Limits;
  readonly burn: JobBurn | undefined;
  readonly material: FilterMaterial;
  /** Begun by the link, so that it can be stopped by it; else another tool commands it. */
  readonly byLink: boolean;
}

/** Follows a burn by the live link: keeps what is read, asks the model, judges, and stops the dosing where a rule is broken. */
export class BurnWatch {
  readonly facts: WatchFacts;
  readonly #session: LiveSession;
  readonly #fromS: number;
  readonly #listeners = new Set<() => void>();
  readonly #leave: () => void;
  readonly #letSleep: () => void;
  #askedMs = 0;
  #asking = false;
  #brokenFor = 0;
  #dosed = false;
  #stopping = false;
  #seen: { oilSmoke?: boolean; fire?: boolean } = {};
  #state: WatchState;

  constructor(session: LiveSession, facts: WatchFacts) {
    this.facts = facts;
    this.#session = session;
    this.#fromS = session.get().vehicle?.timeS ?? 0;
    this.#state = {
      version: 0,
      moments: [],
      estimate: undefined,
      judged: judgeBurnRun([], facts),
      stoppedAtS: undefined,
      how: undefined,
      why: undefined,
      refused: undefined,
      away: false,
    };
    this.#leave = session.subscribe(() => this.#follow());
    this.#letSleep = keepAwake();
  }

  get = (): WatchState => this.#state;
  subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  #set(next: Partial<WatchState>): void {
    this.#state = { ...this.#state, ...next, version: this.#state.version + 1 };
    for (const listener of this.#listeners) listener();
  }

  #follow(): void {
    const { link, vehicle } = this.#session.get();
    // What a lost link showed last is no reading.
    const away = link.status !== 'connected' || !vehicle;
    if (away !== this.#state.away) this.#set({ away });
    if (away) return;
    const atS = vehicle.timeS - this.#fromS;
    const last = this.#state.moments.at(-1);
    if (last && atS - last.atS < MOMENT_EVERY_S) return;
    const moments = [...this.#state.moments, { atS, ...this.#read() }];
    this.#set({ moments });
    this.#noteDosing(atS);
    this.#judge();
    void this.#ask();
  }

  #read(): Omit<BurnMoment, 'atS'> {
    const { channels, chosen } = this.#session.get();
    const streamed = new Set(
      channels.filter(({ id, status }) => status === 'live' && chosen.includes(id)).map(({ role }) => role),
    );
    return Object.fromEntries(
      BURN_CHANNELS.flatMap(([name, role]) => {
        const value = streamed.has(role) ? this.#session.latest(role) : undefined;
        return value === undefined ? [] : [[name, value]];
      }),
    );
  }

  /** The module says itself when it doses; where it does not, its routine’s end or a person says so. */
  #noteDosing(atS: number): void {
    if (this.#state.stoppedAtS !== undefined) return;
    const active = this.#session.latest('regenActive');
    if (active !== undefined && active > 0.5) this.#dosed = true;
    const { routine } = this.#session.get();
    const over = this.facts.byLink && !this.#stopping && routine?.status === 'done' && routine.id !== 'stop';
    if ((this.#dosed && active !== undefined && active <= 0.5) || over)
      this.#set({ stoppedAtS: atS, how: 'by-itself' });
  }

  #judge(): void {
    const { estimate, stoppedAtS, moments } = this.#state;
    const judged = judgeBurnRun(moments, {
      ...this.facts,
      ...(estimate ? { estimate: estimate.bed } : {}),
      ...(stoppedAtS === undefined ? {} : { stoppedAtS }),
      seen: this.#seen,
    });
    this.#set({ judged });
    this.#brokenFor = judged.broken ? this.#brokenFor + 1 : 0;
    // Another tool can only be stopped by whoever holds it: there the rule stays on the screen and rings.
    if (this.facts.byLink && judged.broken && stoppedAtS === undefined && this.#brokenFor >= BROKEN_FOR) {
      const { label, value, limit } = inEnglish(judged.broken);
      void this.#command(`${label}: ${value}, ${limit}`);
    }
  }

  async #ask(): Promise<void> {
    const { burn, limits } = this.facts;
    const now = performance.now();
    if (!burn || this.#asking || now - this.#askedMs < ESTIMATE_EVERY_MS) return;
    this.#asking = true;
    this.#askedMs = now;
    const told = await burnRemote().estimate(this.#state.moments, burn, limits);
    this.#asking = false;
    if (told.ok) this.#set({ estimate: told.value });
  }

  /** Ends the dosing by the link, if it was begun by it; it counts as off when the module has said so. */
  #command = async (why: string): Promise<void> => {
    if (this.#stopping || this.#state.stoppedAtS !== undefined) return;
    this.#stopping = true;
    const answer = await this.#session.command('stop');
    this.#stopping = false;
    if (answer?.status === 'done') this.stopped(why);
    else this.#set({ refused: answer?.text ?? wording.theToolDidNotAnswer });
  };

  /** A person wants it stopped: by the link, or where another tool commands it, they have done it there. */
  stop = (why: string): void => {
    if (this.facts.byLink) void this.#command(why);
    else this.stopped(why);
  };

  /** The dosing is off: the module said so, or a person at the other tool. */
  stopped = (why: string): void => {
    if (this.#state.stoppedAtS !== undefined) return;
    this.#set({
      stoppedAtS: this.#state.moments.at(-1)?.atS ?? 0,
      how: this.#seen.fire ? 'fire' : 'stopped',
      why: this.#seen.fire ? SEEN.fire : this.#seen.oilSmoke ? SEEN.oilSmoke : why,
      refused: undefined,
    });
    this.#judge();
  };

  /** Another tool commands it, and says that it has ended. */
  ended = (): void => {
    if (this.#state.stoppedAtS !== undefined) return;
    this.#set({ stoppedAtS: this.#state.moments.at(-1)?.atS ?? 0, how: 'by-itself' });
  };

  /** What a person sees at the vehicle: the rule for it stands on the screen, and what the link can stop is stopped at once. */
  see = (what: 'oilSmoke' | 'fire'): void => {
    this.#seen = { ...this.#seen, [what]: true };
    this.#judge();
    if (this.facts.byLink) void this.#command(SEEN[what]);
  };

  end = (): void => {
    this.#leave();
    this.#letSleep();
    this.#listeners.clear();
  };
}
