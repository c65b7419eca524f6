<?php

declare(strict_types=1);

namespace App\Actions\Exports;

use App\Support\Rows\LongList;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Weights;

/** A list as someone has it before him: which one, its sentence, its order and its columns. */
final readonly class ListView
{
    /**
     * @param ?string      $sort    null goes by what the list goes by itself
     * @param list<string> $columns as lists are asked to go by them, or by their names in the API; `lane` is every position
     */
    public function __construct(
        public LongList $list,
        public Sentence $sentence,
        public Weights $weights,
        public ?string $sort,
        public bool $isDescending,
        public array $columns,
    ) {
    }
}
