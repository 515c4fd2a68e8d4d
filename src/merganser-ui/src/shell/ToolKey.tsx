import { ButtonBase } from '@mui/material';
import type { ButtonProps } from '../parts/Buttons';
import s from './ToolKey.module.css';

/** A key of the page itself: its theme, its units, its keys. */
export const ToolKey = (props: ButtonProps) => <ButtonBase className={s.tool} {...props} />;
