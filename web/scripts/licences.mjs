// Writes the licence texts of all npm packages that ship with the front end, as one text.
// Usage, from web/: node scripts/licences.mjs > dist/licences.txt
import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const read = (folder) => JSON.parse(readFileSync(join(folder, 'package.json'), 'utf8'));

/** Where a package is found that another one asks for: beside it, or further up. */
function find(name, from) {
  for (let folder = from; ; folder = dirname(folder)) {
    const here = join(folder, 'node_modules', name);
    if (existsSync(join(here, 'package.json'))) {
      return here;
    }
    if (folder === dirname(folder)) {
      return null;
    }
  }
}

const shipped = new Map();

function add(folder) {
  const { name, version, license, dependencies = {}, author } = read(folder);
  const id = `${name} ${version}`;
  if (shipped.has(id)) {
    return;
  }
  const files = readdirSync(folder).filter((file) => /^(licen[cs]e|copying|notice)/i.test(file));
  const texts = files.map((file) => readFileSync(join(folder, file), 'utf8').trim());
  const by = typeof author === 'string' ? author : (author?.name ?? '');
  shipped.set(id, texts.length > 0 ? texts.join('\n\n') : `Licence: ${license}. ${by}`.trim());
  for (const dependency of Object.keys(dependencies)) {
    const found = find(dependency, folder);
    if (found) {
      add(found);
    }
  }
}

for (const name of Object.keys(read('.').dependencies)) {
  add(join('node_modules', name));
}
const rule = '-'.repeat(78);
console.log(
  [...shipped]
    .sort()
    .map(([id, text]) => `${rule}\n${id}\n${rule}\n${text}\n`)
    .join('\n'),
);
