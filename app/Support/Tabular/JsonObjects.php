<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/**
 * Cuts a JSON text into its top-level objects, as a stream: by counting braces outside of strings. Between the objects
 * there may be white space, and in a list its brackets and commas.
 */
final class JsonObjects
{
    private const CHUNK = 65536;

    public bool $isList = false;

    private int $line = 1;

    /** Line on which the present object begins. */
    private int $begun = 1;

    private int $depth = 0;

    private bool $isInString = false;

    private string $object = '';

    private string $between = '';

    /**
     * @param resource $file      placed at its beginning
     * @param int      $maxRecord bytes that one object may have
     */
    public function __construct(private $file, private readonly int $maxRecord)
    {
    }

    /**
     * @return \Generator<int, string> line → text of one object
     *
     * @throws FileProblem
     */
    public function texts(): \Generator
    {
        while (($chunk = (string) fread($this->file, self::CHUNK)) !== '') {
            if (str_ends_with($chunk, '\\')) {
                // What is escaped belongs to its backslash.
                $chunk .= fread($this->file, 1);
            }
            for ($at = 0; $at < \strlen($chunk); $at += \strlen($piece)) {
                $piece = $this->piece($chunk, $at);
                if ($this->take($piece)) {
                    yield $this->begun => $this->object;
                }
            }
        }
        $this->end();
    }

    /** Up to and with the next character that means something here. */
    private function piece(string $chunk, int $at): string
    {
        $run = strcspn($chunk, $this->isInString ? '"\\' : '"{}', $at);
        $isEscape = ($chunk[$at + $run] ?? '') === '\\';

        return substr($chunk, $at, $run + ($isEscape ? 2 : 1));
    }

    /** @return bool whether an object is complete with it */
    private function take(string $piece): bool
    {
        $mark = $piece[-1];
        if ($this->isInString) {
            $this->isInString = $mark !== '"' || ($piece[-2] ?? '') === '\\';
        } elseif ($mark === '"') {
            $this->isInString = true;
        } elseif ($mark === '{' && ++$this->depth === 1) {
            $this->begin($piece);

            return false;
        }
        $this->line += substr_count($piece, "\n");
        if ($this->depth === 0) {
            $this->between .= $piece;

            return false;
        }
        $this->object .= $piece;
        if (\strlen($this->object) > $this->maxRecord) {
            throw FileProblem::recordTooLong($this->begun, $this->maxRecord);
        }

        return ! $this->isInString && $mark === '}' && --$this->depth === 0;
    }

    private function begin(string $piece): void
    {
        $this->line += substr_count($piece, "\n");
        $this->begun = $this->line;
        $between = trim($this->between.substr($piece, 0, -1));
        $isFirst = $this->object === '';
        $this->isList = $isFirst ? $between === '[' : $this->isList;
        if ($between !== ($this->isList ? ($isFirst ? '[' : ',') : '')) {
            throw FileProblem::notJson($this->lineOf($this->between.substr($piece, 0, -1)));
        }
        [$this->object, $this->between] = ['{', ''];
    }

    private function end(): void
    {
        $between = trim($this->between);
        if (preg_match('/^\[\s*\]$/D', $between) === 1) {
            throw FileProblem::empty();
        }
        if ($this->depth !== 0) {
            throw FileProblem::notJson($this->begun);
        }
        if ($between !== ($this->isList ? ']' : '')) {
            throw FileProblem::notJson($this->lineOf($this->between));
        }
    }

    /** The line on which what was read last begins, blanks before it left out. */
    private function lineOf(string $text): int
    {
        return $this->line - substr_count(ltrim($text), "\n");
    }
}
