<?php

declare(strict_types=1);

namespace App\Actions\Bench;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Support\Rows\ComparisonRows;
use App\Support\Sentence\Sentence;
use Illuminate\Support\Collection;

/** How a figure is spread over the rows that the rest of the sentence lets through, for the drawing behind its slider. */
final class DistributionQuery
{
    /** Field of the sentence → column and the bounds of its bins. */
    private const FIELDS = [
        'volume' => ['volume', [0, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000, 10000, 20000, 50000]],
        'difficulty' => ['difficulty', [0, 5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55, 60, 70, 80, 90]],
        'gain' => ['gain', [0, 1, 2, 5, 10, 20, 50, 75, 100, 250, 500, 1000]],
        'cpc' => ['cpc', [0, 0.1, 0.25, 0.5, 0.75, 1, 1.5, 2, 3, 6]],
        'words' => ['words', [1, 2, 3, 4, 5, 6, 7, 8]],
        'own' => ['own_position', [1, 2, 3, 4, 6, 8, 11, 16, 21, 31, 51, 76]],
    ];

    /** @return array{field: string, bins: list<array{from: float|int, keywords: int}>, unknown: int} */
    public function execute(Comparison $comparison, Sentence $sentence, string $field): array
    {
        [$column, $bounds] =
            self::FIELDS[$field] ??
            throw UserError::because('field', sprintf('Distributions exist for %s.', implode(', ', array_keys(self::FIELDS))));
        $array = 'ARRAY['.implode(',', $bounds).']::double precision[]';
        /** @var Collection<array-key, int> $counts */
        $counts = (new ComparisonRows($comparison))
            ->query($sentence->without($field))
            ->groupBy('bin')
            ->selectRaw("width_bucket({$column}::double precision, {$array}) AS bin, count(*) AS keywords")
            ->pluck('keywords', 'bin');
        $bins = [];
        foreach ($bounds as $number => $from) {
            $bins[] = ['from' => $from, 'keywords' => $counts[$number + 1] ?? 0];
        }

        return ['field' => $field, 'bins' => $bins, 'unknown' => $counts[''] ?? 0];
    }
}
