import s from './Simulated.module.css';

/** Says that what follows is a stand-in and no instrument. */
export const Simulated = ({ what = 'simulated' }: { what?: string }) => <span className={s.simulated}>{what}</span>;
