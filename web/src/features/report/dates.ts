/** A day as it is written in this place, as “26 Nov 2026”. */
export const dateOf = (iso: string): string =>
  new Date(iso).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' });

/** A moment as it is written in this place, as “26 Nov, 14:20”. */
export const momentOf = (iso: string): string =>
  new Date(iso).toLocaleString('en-GB', {
    day: 'numeric',
    month: 'short',
    hour: '2-digit',
    minute: '2-digit',
  });
