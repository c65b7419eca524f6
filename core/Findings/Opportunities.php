<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

use GreaterReach\Core\Explanation\Explanation;

/** What could be won, as findings; null where there is nothing to say. */
final class Opportunities
{
    /** Of what the topics could bring together, so much is said to lie in few of them. */
    public const MOST = .5;

    /** @param list<float> $topics what each topic of the gap could be expected to bring, in any order */
    public static function gap(Counted $gaps, array $topics): ?Finding
    {
        if ($gaps->keywords === 0) {
            return null;
        }
        $few = self::few($topics);
        $where = match (true) {
            $gaps->expectedGain === null => '. What they would bring is unknown.',
            $gaps->expectedGain > 0.0 => sprintf(
                '. %s of %s topics hold half of the %s we could win there.',
                Explanation::number($few),
                Explanation::number(\count($topics)),
                Words::visits($gaps->expectedGain),
            ),
            default => '.',
        };

        return new Finding(
            'gap',
            ['keywords' => $gaps->keywords, 'visits' => $gaps->expectedGain, 'few' => $few, 'topics' => \count($topics)],
            sprintf('Competitors rank for %s where we don’t%s', Words::keywords($gaps->keywords), $where),
            'Open the gaps and start with the topics that hold most.',
            Stage::Compare,
            $gaps->show,
            $gaps->expectedGain,
        );
    }

    public static function quickWins(Counted $wins): ?Finding
    {
        return self::of('quick_wins', $wins, 'Quick wins: %s, worth %s.', 'Weigh them and shortlist '
            .'those that serve the business.', Stage::Weigh);
    }

    /** What a domain holds that is weaker than ours. */
    public static function weaker(string $domain, float $authority, float $ours, Counted $held): ?Finding
    {
        return self::of(
            'weaker',
            $held,
            sprintf(
                '%s (authority %s, ours %s) is in the top 20 for %%s where we don’t rank: %%s to win.',
                self::plain($domain),
                Explanation::number($authority),
                Explanation::number($ours),
            ),
            'Start with these: a weaker site holds them.',
            Stage::Compare,
            ['authority' => $authority, 'own_authority' => $ours],
        );
    }

    public static function conflicts(Counted $conflicts): ?Finding
    {
        return self::of(
            'conflicts',
            $conflicts,
            'On %s, two of our own pages compete with each other. One page for each could add %s.',
            'Merge pages that serve the same search.',
            Stage::Compare,
        );
    }

    public static function titles(Counted $titles): ?Finding
    {
        return self::of(
            'titles',
            $titles,
            'Our result gets fewer clicks than its position should for %s. Better titles could add %s.',
            'Test other titles. Each takes half a day.',
            Stage::Weigh,
        );
    }

    /**
     * Seasonal keywords without an own page, whose page must be out soon.
     *
     * @param string $peak  name of the month with the most searches
     * @param string $until YYYY-MM in which the page must be out
     */
    public static function publishBy(string $peak, string $until, Counted $seasonal): ?Finding
    {
        return self::of(
            'publish_by',
            $seasonal,
            "We have no page for %s that peak in {$peak}, worth %s. Publish by {$until} to be ready.",
            'Plan these pages now, or leave them for next year.',
            Stage::Weigh,
        );
    }

    /**
     * A stage of the funnel in which we lag.
     *
     * @param string $stage top, middle or bottom
     * @param int    $all   keywords of the stage
     * @param int    $ours  of these, how many we have on page one
     * @param int    $best  and the competitor that has most
     */
    public static function funnel(string $stage, int $all, int $ours, int $best, string $domain, Counted $beyond): ?Finding
    {
        $words = sprintf(
            'Of %s at the %s of the funnel we have %s on page one and %s has %s. Beyond page one: %%s, worth %%s.',
            Words::keywords($all),
            $stage,
            Explanation::number($ours),
            self::plain($domain),
            Explanation::number($best),
        );

        return $best <= $ours ? null : self::of(
            'funnel',
            $beyond,
            $words,
            'Weigh what is missing at this stage.',
            Stage::Weigh,
            ['all' => $all, 'ours' => $ours, 'best' => $best],
        );
    }

    /** @param array<string, int|float|null> $more numbers beside those that are counted */
    private static function of(string $code, Counted $counted, string $words, string $next, Stage $stage, array $more = []): ?Finding
    {
        return $counted->keywords === 0 ? null : new Finding(
            $code,
            ['keywords' => $counted->keywords, 'visits' => $counted->expectedGain, ...$more],
            sprintf($words, Words::keywords($counted->keywords), Words::about($counted->expectedGain)),
            $next,
            $stage,
            $counted->show,
            $counted->expectedGain,
        );
    }

    /** @param list<float> $topics */
    private static function few(array $topics): int
    {
        rsort($topics);
        $wanted = self::MOST * array_sum($topics);
        $sum = 0.0;
        foreach ($topics as $place => $topic) {
            $sum += $topic;
            if ($sum >= $wanted) {
                return $place + 1;
            }
        }

        return \count($topics);
    }

    /** A name that may have signs which a pattern of words would read. */
    private static function plain(string $name): string
    {
        return str_replace('%', '%%', $name);
    }
}
