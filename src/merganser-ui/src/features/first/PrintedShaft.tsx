import s from './FirstPage.module.css';

interface Props {
  /** As it is printed. */
  number: string;
  mass: string;
  massUnit: string;
}

/** A shaft with what is printed on it, enlarged. */
export const PrintedShaft = ({ number, mass, massUnit }: Props) => (
  <svg
    className={s.printed}
    viewBox="0 0 376 200"
    role="img"
    aria-label={`${number ? `${number} is` : 'A number stands'} on the shaft, before its vanes`}
  >
    <g aria-hidden="true">
      <path d="M8 22H368M8 28H368" stroke="var(--ink)" strokeWidth="1.5" />
      <path d="M368 22l8 3-8 3z" fill="var(--ink)" />
      <path d="M2 20h7v10H2l3-5z" fill="var(--ink2)" />
      <path d="M14 21l8-8h34l10 8zM14 29l8 8h34l10-8z" fill="var(--steel)" stroke="var(--ink)" />
      <path d="M150 30L118 66M182 30L252 62" stroke="var(--ink)" />
      <clipPath id="lens">
        <ellipse cx="188" cy="124" rx="150" ry="68" />
      </clipPath>
      <ellipse cx="188" cy="124" rx="150" ry="68" fill="var(--sheet)" />
      <rect x="30" y="82" width="320" height="84" fill="var(--ink)" clipPath="url(#lens)" />
      <ellipse cx="188" cy="124" rx="150" ry="68" fill="none" stroke="var(--ink)" strokeWidth="2.5" />
      <g className={s.onInk} textAnchor="middle">
        <text x="188" y="140" fontSize="44" fontWeight="680">
          {number || '?'}
        </text>
        <text x="88" y="136" fontSize="20">
          {mass}
        </text>
        <text x="288" y="136" fontSize="20">
          {massUnit}
        </text>
      </g>
    </g>
  </svg>
);
