/**
 * Keeps the screen from going dark until it is called again. A browser without it, or one that saves its battery, may
 * refuse: everything works all the same, and a device that slept says so afterwards.
 */
export function keepAwake(): () => void {
  let lock: WakeLockSentinel | undefined;
  let wanted = true;
  const take = async (): Promise<void> => {
    const taken = await navigator.wakeLock?.request('screen').catch(() => undefined);
    if (wanted) lock = taken;
    else void taken?.release();
  };
  // The browser lets go when the page is hidden.
  const again = (): void => void (document.visibilityState === 'visible' && take());
  void take();
  document.addEventListener('visibilitychange', again);
  return () => {
    wanted = false;
    document.removeEventListener('visibilitychange', again);
    void lock?.release();
  };
}
