<?php

declare(strict_types=1);

namespace App\Actions\Vocabulary;

use App\Support\Sentence\ClauseKind;
use App\Support\Sentence\Vocabulary;

/** The table of clauses in the documents, made from the vocabulary. */
final class WriteSentenceTable
{
    public const DOCUMENT = 'docs/sentence.md';
    private const TABLE = '/^\| clause \| .*?\n(?=\n)/ms';

    /** The document with the table as it should be. */
    public function into(string $document): string
    {
        return (string) preg_replace_callback(self::TABLE, fn(): string => $this->table(), $document, 1);
    }

    private function table(): string
    {
        $lines = ['| clause | what it says | values |', '|---|---|---|'];
        foreach (
            [
                ...Vocabulary::kinds(),
                Vocabulary::aboutDomain('p', 2, 'the second competitor'),
                Vocabulary::aboutDomain('m', 2, 'the second competitor'),
            ] as $kind
        ) {
            $lines[] = self::line($kind);
        }

        return implode("\n", $lines)."\n";
    }

    private static function line(ClauseKind $kind): string
    {
        $values =
            $kind->choices === []
                ? implode(', ', array_map(static fn(string $operator): string => "`{$operator}`", $kind->form->operators()))
                : '`'.implode('`, `', array_keys($kind->choices)).'`';

        return "| `{$kind->example}` | ".str_replace('|', '\\|', $kind->meaning)." | {$values} |";
    }
}
