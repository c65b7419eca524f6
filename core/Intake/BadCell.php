<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** Why a row cannot be imported: its place, its value and what was expected. */
final readonly class BadCell implements \JsonSerializable
{
    private const SHOWN_LENGTH = 200;

    public function __construct(
        /** Physical line on which the record begins; the header's is 1. */
        public int $line,
        /** Header of the column, or empty when the whole row is meant. */
        public string $column,
        public string $value,
        public string $reason,
    ) {
    }

    /** One line for a person. */
    public function __toString(): string
    {
        $where = 'line '.$this->line.($this->column === '' ? '' : ', column "'.$this->column.'"');

        return $where.': "'.addcslashes($this->shown(), "\0..\37\"\\\177").'" '.$this->reason;
    }

    /** @return array{line: int, column: string, value: string, reason: string} */
    public function jsonSerialize(): array
    {
        return ['line' => $this->line, 'column' => $this->column, 'value' => $this->shown(), 'reason' => $this->reason];
    }

    private function shown(): string
    {
        return mb_strimwidth(mb_scrub($this->value), 0, self::SHOWN_LENGTH, '…');
    }
}
