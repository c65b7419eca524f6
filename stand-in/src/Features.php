<?php

declare(strict_types=1);

namespace StandIn;

/** What a results page shows beside its ten results, by what is asked, and what that leaves of their clicks. */
final class Features
{
    /** Feature → share of the clicks that it leaves. Made up for this market. */
    private const LEFT = ['answer' => .6, 'map' => .75, 'products' => .8, 'questions' => .92, 'videos' => .9, 'pictures' => .97];

    private const QUESTION = '/^(?:what|how|when|why|which|is|are|do|does|can|where)\b/';

    /** @return list<string> */
    public static function of(MarketKeyword $keyword, Noise $noise): array
    {
        $isQuestion = preg_match(self::QUESTION, $keyword->text) === 1;
        $chances = [
            'answer' => $isQuestion ? .45 : ($keyword->page === 'guide' ? .06 : 0),
            'map' => str_contains($keyword->text, 'near me') ? 1 : (str_starts_with($keyword->text, 'local ') ? .6 : 0),
            'products' => $keyword->page === 'shop' ? .35 : .03,
            'questions' => $keyword->page === 'guide' ? .4 : .15,
            'videos' => str_starts_with($keyword->text, 'how to') ? .5 : .05,
            'pictures' => .15,
        ];

        return array_keys(array_filter(
            $chances,
            static fn(float|int $chance, string $feature): bool => $noise->uniform("{$feature} {$keyword->text}") < $chance,
            ARRAY_FILTER_USE_BOTH,
        ));
    }

    /** @param list<string> $features */
    public static function shareLeft(array $features): float
    {
        return array_product(array_map(static fn(string $feature): float => self::LEFT[$feature], $features));
    }
}
