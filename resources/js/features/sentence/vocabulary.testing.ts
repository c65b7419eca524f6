import { readFileSync } from 'node:fs';
import type { Vocabulary } from '../../api/schema';

/** The server's own vocabulary, for tests: `npm test` and `bin/test` have the server write it before. */
export const vocabulary = JSON.parse(readFileSync(process.env['REACH_VOCABULARY'] ?? 'var/vocabulary.json', 'utf8')) as Vocabulary;
