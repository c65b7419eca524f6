<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Models\Study;
use App\Support\PostgresStemmer;
use GreaterReach\Core\Keyword\Words;
use GreaterReach\Core\Meaning\StemSets;
use GreaterReach\Core\Priority\Models;

/** The word stems that relate other topics to one: those of its name that are not in the names of too many. */
final class RelatingStems
{
    /** @return list<string> */
    public static function of(Study $study, Models $models, string $topic): array
    {
        $words = Words::of(str_replace('’', "'", $topic));
        $stems = $words === [] ? [] : array_values(array_unique((new PostgresStemmer($study->language))->stems($words)));

        return array_values(array_filter(
            $stems,
            static fn(string $stem): bool => ! \in_array(StemSets::hex($stem), $models->commonStems, true),
        ));
    }
}
