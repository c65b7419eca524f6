<?php

declare(strict_types=1);

namespace GreaterReach\Core\Intake;

/** One field of an import: its name, what it holds, and the plain words a header may use for it. */
final readonly class Field
{
    /** Letters from which a name counts misspelt by so many, and from which it counts as a word of a header. */
    private const SHORTEST_MISSPELT = 6;
    private const MISSPELT = 2;
    private const SHORTEST_WORD = 4;

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

    /**
     * Whether a header that does not answer may yet be meant: it has a name of the field among its words, or is such a name misspelt by
     * a letter or two. Common practice.
     */
    public function isNearly(string $header): bool
    {
        $folded = self::fold($header);
        $words = preg_split('/[\s_\p{Z}.()\/-]+/u', mb_strtolower(trim($header), 'UTF-8'), -1, PREG_SPLIT_NO_EMPTY) ?: [];
        foreach ([self::fold($this->name), ...$this->synonyms] as $name) {
            $isMisspelt = \strlen($name) >= self::SHORTEST_MISSPELT && levenshtein($folded, $name) <= self::MISSPELT;
            if ($isMisspelt || (\strlen($name) >= self::SHORTEST_WORD && \in_array($name, $words, true))) {
                return true;
            }
        }

        return false;
    }

    public function answersTo(string $foldedHeader): bool
    {
        return $this->isNamedExactly($foldedHeader) || \in_array($foldedHeader, $this->synonyms, true);
    }
}
