/** Sound for a person who does not look: a tone that follows the revs, another when a reading was taken, and speech. */
export class Cues {
  #context: AudioContext | undefined;
  #tone: OscillatorNode | undefined;
  #volume: GainNode | undefined;

  on(): void {
    const context = new AudioContext();
    const volume = context.createGain();
    volume.gain.value = 0;
    const tone = context.createOscillator();
    tone.type = 'triangle';
    tone.connect(volume).connect(context.destination);
    tone.start();
    this.#context = context;
    this.#tone = tone;
    this.#volume = volume;
  }

  off(): void {
    void this.#context?.close();
    this.#context = undefined;
    if ('speechSynthesis' in window) speechSynthesis.cancel();
  }

  /** An octave up for each doubling of the revs; louder outside the band, so that silence means: hold it there. */
  revs(rpm: number, aimRpm: number | undefined): void {
    if (!this.#context || !this.#tone || !this.#volume) return;
    const now = this.#context.currentTime;
    const off = aimRpm === undefined ? 0 : Math.abs(rpm - aimRpm) / aimRpm;
    const wanted = aimRpm === undefined || rpm < 400 ? 0 : off > 0.05 ? 0.12 : 0.02;
    this.#tone.frequency.setTargetAtTime(220 * (Math.max(rpm, 300) / 1500), now, 0.05);
    this.#volume.gain.setTargetAtTime(wanted, now, 0.08);
  }

  /** Two rising notes, then the figure spoken where the browser can. */
  captured(words: string): void {
    const context = this.#context;
    if (!context) return;
    [880, 1320].forEach((hertz, i) => {
      const note = context.createOscillator();
      const volume = context.createGain();
      const from = context.currentTime + 0.16 * i;
      note.frequency.value = hertz;
      volume.gain.setValueAtTime(0.2, from);
      volume.gain.exponentialRampToValueAtTime(0.001, from + 0.15);
      note.connect(volume).connect(context.destination);
      note.start(from);
      note.stop(from + 0.16);
    });
    this.say(words);
  }

  /** Speaks where the browser can, while sound is on. */
  say(words: string): void {
    if (this.#context && 'speechSynthesis' in window)
      speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }
}
