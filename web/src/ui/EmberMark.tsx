export function EmberMark() {
  return (
    <svg width="28" height="28" viewBox="0 0 32 32" aria-hidden>
      <path d="M6 27 13 5h6l7 22h-5.200L16 11.500 11.200 27z" fill="currentColor" />
      <circle cx="16" cy="23" r="3.400" fill="var(--ember)" />
    </svg>
  );
}
