export function Mark() {
  return (
    <svg width="44" height="40" viewBox="0 0 44 40" aria-hidden="true">
      <path
        d="M20 39c1-6-1-9-5-11-3-2-4-5-3-9l-8 3 5-6-9 0 8-4-7-4 10 1-4-7 9 4c3-3 8-4 12-2 4 2 6 6 6 10l-1 4c-3 1-4 3-4 6 0 5 2 9 4 15z"
        fill="var(--green)"
      />
      <path d="M33 13l11 4-11 2z" fill="var(--bill)" />
      <circle cx="28" cy="13" r="1.6" fill="var(--steel)" />
    </svg>
  );
}
