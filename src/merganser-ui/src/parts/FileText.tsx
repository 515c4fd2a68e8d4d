import s from './FileText.module.css';

interface Props {
  /** What the file holds, for those who do not see its place. */
  label: string;
  onText: (text: string) => void;
}

/** A table of text that lies in a file, in whatever letters it was written. */
export const FileText = ({ label, onText }: Props) => (
  <label className={s.file}>
    or a file:{' '}
    <input
      type="file"
      accept=".csv,.txt,.tsv,text/csv,text/plain"
      aria-label={label}
      onChange={(event) => {
        const file = event.target.files?.[0];
        if (file) void file.arrayBuffer().then((bytes) => onText(textOf(new Uint8Array(bytes))));
        event.target.value = '';
      }}
    />
  </label>
);

/** UTF-8 or UTF-16 by its mark, else Windows-1252. */
export function textOf(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}
