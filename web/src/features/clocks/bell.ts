/** Three falling strokes, as of a small bell; the page must have been touched before a browser lets it sound. */
export function ring(): void {
  const context = new AudioContext();
  [1568, 1319, 1047].forEach((hertz, i) => {
    const stroke = context.createOscillator();
    const volume = context.createGain();
    const from = context.currentTime + 0.28 * i;
    stroke.type = 'triangle';
    stroke.frequency.value = hertz;
    volume.gain.setValueAtTime(0.3, from);
    volume.gain.exponentialRampToValueAtTime(0.001, from + 0.9);
    stroke.connect(volume).connect(context.destination);
    stroke.start(from);
    stroke.stop(from + 0.95);
  });
  window.setTimeout(() => void context.close(), 2500);
}

/** A message of the system, which is seen with the page in the background too, where the person allows it. */
export function notify(title: string, text: string, tag: string): void {
  if (!('Notification' in window) || Notification.permission !== 'granted') return;
  try {
    new Notification(title, { body: text, tag, requireInteraction: true });
  } catch {
    // Some phones allow it from a service worker only: there the bell and the bar have to do.
  }
}

/** Asks once, when the first clock is begun: not before a person knows what for. */
export function askToNotify(): void {
  if ('Notification' in window && Notification.permission === 'default')
    void Notification.requestPermission();
}
