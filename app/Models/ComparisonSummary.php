<?php

declare(strict_types=1);

namespace App\Models;

use GreaterReach\Core\Priority\Models;

/**
 * What is kept of a comparison as a whole: its counts and what was learnt from it. Lists go by domain, ours first.
 *
 * @phpstan-type Overlap array{combination: int, keywords: int}
 */
final readonly class ComparisonSummary
{
    /**
     * @param array<string, int>   $standings standing → keywords
     * @param list<Overlap>        $overlap   exact combinations of domains, bit 0 ours, the largest first
     * @param list<list<?float>>   $similarity Jaccard, by pairs of domains
     * @param list<?float>         $shareOfClicks 0…1
     * @param list<float>          $visits    a month
     * @param list<float>          $value     of the visits, in money a month
     * @param list<int>            $ranking   keywords they rank for
     * @param list<int>            $firstPage keywords they have on page one
     * @param ?int                 $topics    null where nothing was weighed
     * @param ?Models              $models    null where nothing was weighed
     */
    public function __construct(
        public int $keywords,
        public array $standings,
        public array $overlap,
        public array $similarity,
        public array $shareOfClicks,
        public array $visits,
        public array $value,
        public array $ranking,
        public array $firstPage,
        public ?int $topics = null,
        public ?Models $models = null,
    ) {
    }

    /** Of a comparison that is still being made. */
    public static function none(): self
    {
        return new self(0, [], [], [], [], [], [], [], []);
    }

    public function weighed(Models $models, int $topics): self
    {
        return new self(
            $this->keywords,
            $this->standings,
            $this->overlap,
            $this->similarity,
            $this->shareOfClicks,
            $this->visits,
            $this->value,
            $this->ranking,
            $this->firstPage,
            $topics,
            $models,
        );
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'keywords' => $this->keywords,
            'standings' => $this->standings,
            'overlap' => $this->overlap,
            'similarity' => $this->similarity,
            'share_of_clicks' => $this->shareOfClicks,
            'visits' => $this->visits,
            'value' => $this->value,
            'ranking' => $this->ranking,
            'first_page' => $this->firstPage,
            ...($this->models === null ? [] : ['topics' => $this->topics, ...$this->models->toArray()]),
        ];
    }

    /**
     * @param array<string, mixed> $kept as toArray() gave it, numbers as JSON may have changed them
     */
    public static function fromArray(array $kept): self
    {
        /**
         * @var array{keywords?: int, standings?: array<string, int>, overlap?: list<Overlap>, similarity?: list<list<float|int|null>>,
         *     share_of_clicks?: list<float|int|null>, visits?: list<float|int>, value?: list<float|int>, ranking?: list<int>,
         *     first_page?: list<int>, topics?: int} $kept
         */
        $float = static fn(float|int|null $number): ?float => $number === null ? null : (float) $number;

        return new self(
            $kept['keywords'] ?? 0,
            $kept['standings'] ?? [],
            $kept['overlap'] ?? [],
            array_map(static fn(array $row): array => array_map($float, $row), $kept['similarity'] ?? []),
            array_map($float, $kept['share_of_clicks'] ?? []),
            array_map(floatval(...), $kept['visits'] ?? []),
            array_map(floatval(...), $kept['value'] ?? []),
            $kept['ranking'] ?? [],
            $kept['first_page'] ?? [],
            $kept['topics'] ?? null,
            Models::fromArray($kept),
        );
    }
}
