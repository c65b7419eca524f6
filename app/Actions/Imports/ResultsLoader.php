<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use GreaterReach\Core\Comparison\Ranking;

/**
 * Loads page-one results: positions for a keyword, with the strength of page and site.
 *
 * @phpstan-type ResultValues array{keyword: string, date?: ?string, position: int, url: string, authority?: ?float,
 *     page_strength?: ?float, referring_domains?: ?int, title?: ?string}
 */
final class ResultsLoader extends TableLoader
{
    protected static function table(): string
    {
        return 'results';
    }

    protected static function noun(): string
    {
        return 'page-one result';
    }

    public function columns(): array
    {
        return ['keyword', 'day', 'position', 'url', 'authority', 'page_strength', 'referring_domains', 'title'];
    }

    public function stage(int $line, array $values): ?array
    {
        /** @var ResultValues $values */
        if ($values['position'] > Ranking::WORST_POSITION) {
            return null;
        }

        return [
            $values['keyword'], $values['date'] ?? $this->order->day, $values['position'], $values['url'], $values['authority'] ?? null,
            $values['page_strength'] ?? null, $values['referring_domains'] ?? null, $values['title'] ?? null,
        ];
    }
}
