import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ShellHead } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { terms } from '../../glossary/terms';
import { TermDrawing } from '../../parts/TermDrawing';
import { Main, Page } from '../../parts/Page';
import { FindLine } from '../../parts/TextLine';
import l from '../../parts/layout.module.css';
import s from './GlossaryPage.module.css';

/** Every word of the trade that the screens use. */
export default function GlossaryPage() {
  const navigate = useNavigate();
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const shown = terms
    .filter((t) => `${t.word} ${t.means}`.toLowerCase().includes(wanted))
    .toSorted((a, b) => a.word.localeCompare(b.word));
  return (
    <Page>
      <ShellHead at={null} />
      <Main kind="inset">
        <div className={l.title}>
          <h1>Words</h1>
          <FindLine className={l.far} label="Find a word" placeholder="find a word" value={find} onChange={setFind} />
        </div>
        <dl className={s.words} data-testid="words-of-the-trade">
          {shown.map((term) => (
            <div key={term.name}>
              <dt>{term.word}</dt>
              <dd>
                <TermDrawing term={term} />
                {term.means}
              </dd>
            </div>
          ))}
        </dl>
        {shown.length === 0 && <p>No such word here.</p>}
      </Main>
      <Foot
        sentence="Go back to where you were."
        reason="Words with a dotted underline open here."
        button="Back"
        onGo={() => void navigate(-1)}
      />
    </Page>
  );
}
