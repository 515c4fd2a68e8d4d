// Lists every part that a package is made of, with its licence and its text where the part brings one.
// node packaging/licences.mjs ASSETS.json UI_FOLDER OUT.txt
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { execFileSync } from 'node:child_process';

const [assets, ui, out] = process.argv.slice(2);
const text = (file) => readFileSync(file, 'utf8').replace(/^\ufeff/, '').trim();
const find = (folder) =>
  existsSync(folder) ? readdirSync(folder).filter((name) => /^(licen[cs]e|notice|ofl)(\.|$)/i.test(name)) : [];

/** Parts of the server: what its restore says that it uses, with the runtime that goes along. */
function ofServer() {
  const found = JSON.parse(text(assets));
  const roots = Object.keys(found.packageFolders);
  const folder = (path) => roots.map((root) => join(root, path)).find(existsSync);
  const libraries = Object.entries(found.libraries)
    .filter(([, library]) => library.type === 'package')
    .map(([name, library]) => [name, library.path]);
  const downloads = Object.values(found.project.frameworks)
    .flatMap((framework) => framework.downloadDependencies ?? [])
    .filter(({ name }) => /\.Runtime\.|\.Host\./i.test(name))
    .map(({ name, version }) => {
      const exact = version.replace(/[[\]]/g, '').split(',')[0].trim();
      return [`${name}/${exact}`, `${name.toLowerCase()}/${exact}`];
    });
  return [...libraries, ...downloads].flatMap(([name, path]) => {
    const at = folder(path);
    if (!at) return [];
    const nuspec = readdirSync(at).find((file) => file.endsWith('.nuspec'));
    const spec = nuspec ? text(join(at, nuspec)) : '';
    const licence = /<license type="expression">([^<]+)</.exec(spec)?.[1] ?? /<licenseUrl>([^<]+)</.exec(spec)?.[1] ?? '';
    return [{ name, licence, texts: find(at).map((file) => text(join(at, file))) }];
  });
}

/** Parts of the interface: what is installed but for building. */
function ofInterface() {
  const listed = execFileSync('npm', ['ls', '--omit=dev', '--all', '--parseable'], { cwd: ui, encoding: 'utf8' });
  return listed
    .split('\n')
    .filter((path) => path.includes('node_modules'))
    .map((path) => {
      const { name, version, license } = JSON.parse(text(join(path, 'package.json')));
      return { name: `${name}/${version}`, licence: license ?? '', texts: find(path).map((file) => text(join(path, file))) };
    });
}

const parts = [...ofServer(), ...ofInterface()].toSorted((a, b) => a.name.localeCompare(b.name));
const nameless = parts.filter((part) => !part.licence && part.texts.length === 0).map((part) => part.name);
if (nameless.length > 0) {
  console.error(`no licence is known of: ${nameless.join(', ')}`);
  process.exit(1);
}
const texts = new Map();
for (const part of parts) for (const one of part.texts) texts.set(one, [...(texts.get(one) ?? []), part.name]);
writeFileSync(
  out,
  [
    'Merganser is made of these parts. Each keeps its own licence.',
    '',
    ...parts.map((part) => `${part.name}: ${part.licence || 'see its text below'}`),
    ...[...texts].flatMap(([one, names]) => ['', '-'.repeat(80), names.join(', '), '', one]),
    '',
  ].join('\n'),
);
console.log(`${parts.length} parts in ${basename(out)}`);
