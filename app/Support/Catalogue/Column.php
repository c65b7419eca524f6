<?php

declare(strict_types=1);

namespace App\Support\Catalogue;

/**
 * What is said of a column of the weighed rows, beside its name and type, which are those of the property that bears it. The table, the
 * lines copied into it, the API, the clauses of a sentence, the orders of the bench and the headings of the screen follow from it.
 */
#[\Attribute(\Attribute::TARGET_PROPERTY)]
final readonly class Column
{
    /**
     * @param string  $heading as people read it; empty for what is for the application alone
     * @param string  $unit    of the figure, where it has one
     * @param string  $meaning in a sentence
     * @param ?string $asked   what sentences and orders call it; null where they do not know it
     * @param bool    $isRange a sentence asks for it from and to a number
     * @param bool    $isTold  the API gives it
     * @param ?Origin $from    where it comes from, where people read it
     */
    public function __construct(
        public string $heading = '',
        public string $unit = '',
        public string $meaning = '',
        public ?string $asked = null,
        public bool $isRange = false,
        public bool $isTold = true,
        public ?Origin $from = null,
    ) {
    }
}
