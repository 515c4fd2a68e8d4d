import { useState } from 'react';
import { useNavigate } from 'react-router';
import { ShellHead } from '../../shell/ShellHead';
import { Foot } from '../../shell/Foot';
import { terms } from '../../glossary/terms';
import { TermDrawing } from '../../parts/TermDrawing';

/** Every word of the trade that the screens use. */
export default function GlossaryPage() {
  const navigate = useNavigate();
  const [find, setFind] = useState('');
  const wanted = find.trim().toLowerCase();
  const shown = terms
    .filter((t) => `${t.word} ${t.means}`.toLowerCase().includes(wanted))
    .toSorted((a, b) => a.word.localeCompare(b.word));
  return (
    <div className="page">
      <ShellHead at={null} />
      <main className="thing inset">
        <div className="rack-title">
          <h1>Words</h1>
          <input
            className="name-input"
            data-find
            aria-label="Find a word"
            placeholder="find a word"
            value={find}
            onChange={(event) => setFind(event.target.value)}
          />
        </div>
        <dl className="glossary">
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
      </main>
      <Foot
        sentence="Go back to where you were."
        reason="Words with a dotted underline open here."
        button="Back"
        onGo={() => void navigate(-1)}
      />
    </div>
  );
}
