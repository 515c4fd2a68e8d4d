import { useId, useState } from 'react';
import { Plain } from '../parts/Buttons';
import { Fault } from '../parts/Note';
import { TextLine } from '../parts/TextLine';
import w from '../parts/words.module.css';
import {
  image,
  thumbnail,
  usePhotographs,
  type Photograph,
  type PhotographWork,
  type PictureOf,
} from './usePhotographs';
import s from './Photographs.module.css';

interface Props {
  bowId: string;
  of: PictureOf;
  ofId: string | null;
  /** Of all of them these alone. */
  only?: string[];
  /** What they show, where several such sections stand on a page. */
  label?: string;
}

/** Photographs of one thing: small, one of them large, and one more from the camera or a file. */
export function Photographs({ bowId, of, ofId, only, label = 'Photographs' }: Props) {
  const work = usePhotographs(bowId, of, ofId);
  const [open, setOpen] = useState<string | null>(null);
  const shown = only ? work.all.filter((one) => only.includes(one.id)) : work.all;
  const large = shown.find((one) => one.id === (open ?? (only ? only[0] : null)));
  return (
    <section aria-label={label} data-testid="photographs">
      <h2>{label}</h2>
      <Thumbs pictures={shown} open={large?.id ?? null} onOpen={(id) => setOpen(id === open ? null : id)} />
      {large && (
        <figure className={s.large}>
          <img
            src={image(large.id)}
            alt={large.caption || 'The photograph'}
            width={large.width}
            height={large.height}
            data-testid="large"
          />
          <figcaption>
            {large.caption}
            <Plain disabled={work.busy} onClick={() => void work.bin(large.id).then((gone) => gone && setOpen(null))}>
              Put it in the bin
            </Plain>
          </figcaption>
        </figure>
      )}
      {only ? work.fault && <Fault>{work.fault}</Fault> : <AddPhotograph work={work} />}
    </section>
  );
}

interface ThumbsProps {
  pictures: Photograph[];
  open: string | null;
  onOpen: (id: string) => void;
}

/** Photographs in small, each a key. */
export const Thumbs = ({ pictures, open, onOpen }: ThumbsProps) =>
  pictures.length === 0 ? null : (
    <ul className={s.thumbs}>
      {pictures.map((one, i) => (
        <li key={one.id}>
          <button
            type="button"
            className={s.thumb}
            aria-pressed={one.id === open}
            aria-label={one.caption || `Photograph ${i + 1}`}
            onClick={() => onOpen(one.id)}
          >
            <img src={thumbnail(one.id)} alt="" />
          </button>
        </li>
      ))}
    </ul>
  );

interface AddProps {
  work: PhotographWork;
  onAdded?: (picture: Photograph) => void;
}

/** One more, from the phone's camera or a file. What was picked stays picked until it is kept. */
export function AddPhotograph({ work, onAdded }: AddProps) {
  const [caption, setCaption] = useState('');
  const [file, setFile] = useState<File | null>(null);
  const id = useId();
  const send = async (picked: File) => {
    setFile(picked);
    const kept = await work.add(picked, caption.trim());
    if (!kept) return;
    setFile(null);
    setCaption('');
    onAdded?.(kept);
  };
  return (
    <div className={s.add}>
      <TextLine
        label="What the next photograph shows"
        placeholder="what it shows, if you like"
        value={caption}
        onChange={setCaption}
        maxLength={200}
      />
      <label className={s.pick} htmlFor={id}>
        Add a photograph
        <input
          id={id}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          disabled={work.busy}
          onChange={(event) => {
            const picked = event.target.files?.[0];
            if (picked) void send(picked);
            event.target.value = '';
          }}
        />
      </label>
      {work.busy && file && (
        <p role="status">
          Keeping {file.name}, {(file.size / 1e6).toFixed(1)} MB …
        </p>
      )}
      {!work.busy && work.fault && (
        <Fault>
          {file && `${file.name}: `}
          {work.fault}
        </Fault>
      )}
      {!work.busy && work.fault && !work.refused && file && (
        <Plain onClick={() => void send(file)}>Try {file.name} again</Plain>
      )}
      <p className={w.muted}>
        JPEG, PNG or WebP. Only its pixels are kept: where, when and with what it was taken stays out.
      </p>
    </div>
  );
}
