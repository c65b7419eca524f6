// Looks through all texts that people read, and through the names of classes and components, for the phrases that docs/voice.md bans.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import ts from 'typescript';

const git = (...patterns) => execFileSync('git', ['ls-files', ...patterns], { encoding: 'utf8' }).trim().split('\n');

/** The first column of a table of docs/voice.md, by its heading: comma-separated phrases. */
function banned(heading) {
  const section = readFileSync('docs/voice.md', 'utf8').split(`## ${heading}\n`)[1]?.split('\n## ')[0] ?? '';
  const rows = section.split('\n').filter((line) => line.startsWith('| ') && !line.startsWith('| instead'));
  const phrases = rows.flatMap((line) => (line.split('|')[1] ?? '').split(',').map((phrase) => phrase.trim()));
  if (phrases.length === 0) {
    throw new Error(`docs/voice.md has no table under "${heading}".`);
  }
  return phrases;
}

function screenTexts(file) {
  const kind = file.endsWith('x') ? ts.ScriptKind.TSX : ts.ScriptKind.TS;
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true, kind);
  const found = { texts: [], names: [] };
  const at = (node) => `${file}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1}`;
  const visit = (node) => {
    const isText = ts.isJsxText(node) || ts.isStringLiteralLike(node) || ts.isTemplateHead(node) || ts.isTemplateMiddleOrTemplateTail(node);
    if (isText && node.text.includes(' ')) {
      found.texts.push({ at: at(node), text: node.text.replace(/\s+/g, ' ') });
    }
    if (ts.isFunctionDeclaration(node) && node.name !== undefined) {
      found.names.push({ at: at(node), text: node.name.text });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return found;
}

/** The lines of a document outside its blocks of code. */
function proseOf(file) {
  let isCode = false;
  return readFileSync(file, 'utf8')
    .split('\n')
    .flatMap((text, line) => {
      isCode = text.startsWith('```') ? !isCode : isCode;
      return isCode ? [] : [{ at: `${file}:${line + 1}`, text: text.replace(/`[^`]*`/g, '') }];
    });
}

/** Texts with all their places. */
function grouped(all) {
  const places = new Map();
  for (const one of all) {
    places.set(one.text, [...(places.get(one.text) ?? []), one]);
  }
  return places;
}

const server = JSON.parse(execFileSync('php', ['tests/Voice/texts.php'], { encoding: 'utf8', maxBuffer: 1 << 26 }));
const screens = git('resources/js/*.ts', 'resources/js/*.tsx')
  .filter((file) => !/\.test\.|\/testing\/|\.testing\.|schema\.ts/.test(file))
  .map(screenTexts);
const documents = git('README.md', 'CONTRIBUTING.md', 'docs/*.md').filter((file) => file !== 'docs/voice.md');
const texts = [...server.texts, ...screens.flatMap((one) => one.texts), ...documents.flatMap(proseOf)];
const names = [...server.names, ...screens.flatMap((one) => one.names)];

const inTexts = banned('Words').map((phrase) => [phrase, new RegExp(`(?<![\\w-])${phrase}(?![\\w-])`, 'i')]);
const inNames = banned('Names').map((word) => [word, new RegExp(`(?<![A-Z])${word}(?![a-z])`)]);
const wrong = [...texts.map((one) => [one, inTexts]), ...names.map((one) => [one, inNames])].flatMap(([one, list]) =>
  list.filter(([, pattern]) => pattern.test(one.text)).map(([phrase]) => `${one.at}: "${phrase}" in ${one.text.trim().slice(0, 120)}`),
);
const sentences = screens
  .flatMap((one) => one.texts)
  .map((one) => ({ ...one, text: one.text.trim() }))
  .filter((one) => /^[A-ZI][^<>]*[a-z’]+ [^<>]*[A-Za-z.]$/.test(one.text) && one.text.length > 12);
for (const [text, places] of grouped(sentences)) {
  if (places.length > 1) {
    wrong.push(`${places.map((one) => one.at).join(', ')}: "${text}" stands twice; put it into wording.ts`);
  }
}
if (texts.length < 2000 || names.length < 500) {
  throw new Error(`Only ${texts.length} texts and ${names.length} names were found.`);
}
console.log(wrong.join('\n') || `${texts.length} texts and ${names.length} names: no banned phrase.`);
process.exitCode = wrong.length === 0 ? 0 : 1;
