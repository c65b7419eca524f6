<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** One field of an import: its name, what it holds, and the plain words a header may use for it. */
final readonly class Field
{
    /** @param list<string> $synonyms in lower case without spaces, hyphens and underscores */
    public function __construct(
        public string $name,
        public FieldType $type,
        public bool $isRequired = false,
        public array $synonyms = [],
    ) {
    }

    /** Header text without what does not count: case, spaces, hyphens and underscores. */
    public static function fold(string $header): string
    {
        return (string) preg_replace('/[\s_\p{Z}-]+/u', '', mb_strtolower(trim($header), 'UTF-8'));
    }

    public function isNamedExactly(string $foldedHeader): bool
    {
        return $foldedHeader === self::fold($this->name);
    }

    public function answersTo(string $foldedHeader): bool
    {
        return $this->isNamedExactly($foldedHeader) || \in_array($foldedHeader, $this->synonyms, true);
    }
}
