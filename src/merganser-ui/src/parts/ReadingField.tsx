import { useLayoutEffect, useRef, useState } from 'react';
import type { Quantity } from '../units/units';
import { Field } from './Field';
import { useInTurn } from './useInTurn';
import w from './words.module.css';

interface Props {
  label: string;
  name: string;
  quantity?: Quantity;
  fault?: string;
  hint?: string;
  /** Takes a reading; answers with what was taken in words, or null when it was refused. */
  onTake: (text: string) => Promise<string | null>;
  /** Enter in the empty field. */
  onEmpty?: () => void;
  first?: boolean;
}

/**
 * A field that takes one reading after the other: Enter takes the text, empties the field, keeps the focus and says what was taken.
 * What is typed while a reading is under way waits its turn; a refused one comes back to be corrected.
 */
export function ReadingField({ label, name, quantity, fault, hint, onTake, onEmpty, first }: Props) {
  const [text, setText] = useState('');
  const [taken, setTaken] = useState<string | null>(null);
  // An object, so that the same text refused twice is two refusals.
  const [refused, setRefused] = useState<{ text: string } | null>(null);
  const latest = useRef(onTake);
  const held = useRef(text);
  const inTurn = useInTurn();
  useLayoutEffect(() => {
    latest.current = onTake;
    held.current = text;
  });
  // A refused reading comes back selected: what is typed next takes its place and is not glued to it. What was typed by then stays as it is.
  useLayoutEffect(() => {
    if (refused !== null && held.current === refused.text)
      document.querySelector<HTMLInputElement>(`input[name="${name}"]`)?.select();
  }, [refused, name]);
  const enter = () => {
    const reading = text.trim();
    if (reading === '') return onEmpty?.();
    setText('');
    setRefused(null);
    void inTurn(async () => {
      const words = await latest.current(reading);
      if (words !== null) return setTaken(words);
      setRefused({ text: reading });
      setText((now) => (now === '' ? reading : now));
    });
  };
  return (
    <div>
      <Field
        label={label}
        name={name}
        quantity={quantity}
        value={text}
        onChange={(next) => {
          setText(next);
          setTaken(null);
        }}
        onEnter={enter}
        fault={refused !== null && fault ? (text === refused.text ? fault : `${refused.text}: ${fault}`) : undefined}
        hint={hint}
        first={first}
      />
      <p className={w.taken} role="status" data-testid={`${name}-taken`}>
        {taken}
      </p>
    </div>
  );
}
