<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

use GreaterReach\Core\Explanation\Explanation;

/** How we and others stand and move, as findings; null where there is nothing to say. */
final class Market
{
    public const SHARE = 'share';

    /** From so much more authority on a competitor is no measure for us; from memory. */
    public const TOO_LARGE_FROM = 30.0;

    /** Keywords of one topic from which a movement is a focus and no accident; from memory. */
    public const FEWEST_OF_A_FOCUS = 3;

    /**
     * @param float   $now    our share of clicks, 0…1
     * @param ?float  $before the same at an earlier day; null where there is none
     * @param ?string $since  YYYY-MM of that day
     * @param ?string $leader who holds most, if not we
     * @param float   $visits that all our positions import a month
     */
    public static function share(
        float $now,
        ?float $before,
        ?string $since,
        ?string $leader,
        ?float $theirs,
        float $visits,
    ): Finding {
        $points = Explanation::number(round(abs(100 * ($now - (float) $before)), 1));
        $trend = $before === null ? '' : sprintf(
            ', %s %s than in %s',
            $points.($points === '1' ? ' point' : ' points'),
            $now >= $before ? 'more' : 'less',
            $since,
        );
        $most = $leader === null
            ? 'No competitor gets more'
            : sprintf('%s gets the most, %s', $leader, Explanation::percent(round((float) $theirs, 3)));

        return new Finding(
            self::SHARE,
            ['share' => $now, 'before' => $before, 'leader_share' => $theirs, 'visits' => $visits],
            sprintf('We get %s of the clicks%s. %s.', Explanation::percent(round($now, 3)), $trend, $most),
            'See each domain’s share over time.',
            Stage::Track,
            null,
            $visits,
        );
    }

    /** @param float $lost visits a month that the places lost have cost */
    public static function slipped(Counted $slipped, float $lost): ?Finding
    {
        return $slipped->keywords === 0 ? null : new Finding(
            'slipped',
            ['keywords' => $slipped->keywords, 'visits' => $lost],
            sprintf(
                'We dropped on %s and lost about %s.',
                Words::keywords($slipped->keywords),
                Words::visits($lost),
            ),
            'Refresh the pages that lost most.',
            Stage::Compare,
            $slipped->show,
            $lost,
        );
    }

    /** @param bool $isGain whether it climbs there, or falls */
    public static function focus(string $domain, string $topic, bool $isGain, Counted $moved): ?Finding
    {
        return $moved->keywords < self::FEWEST_OF_A_FOCUS ? null : new Finding(
            $isGain ? 'focus' : 'lost_focus',
            ['keywords' => $moved->keywords, 'visits' => $moved->expectedGain],
            sprintf(
                $isGain
                    ? '%s gained most in “%s”: it climbed or entered on %s.'
                    : '%s lost most in “%s”: it dropped or left on %s.',
                $domain,
                $topic,
                Words::keywords($moved->keywords),
            ),
            $isGain ? 'See what it does there.' : 'Take over its positions.',
            Stage::Compare,
            $moved->show,
            $moved->expectedGain,
        );
    }

    public static function tooLarge(string $domain, float $authority, ?float $ours): ?Finding
    {
        return $ours === null || $authority - $ours < self::TOO_LARGE_FROM ? null : new Finding(
            'too_large',
            ['authority' => $authority, 'own_authority' => $ours],
            sprintf(
                '%s is much stronger than us (authority %s, ours %s), so its rankings say little about what we can win.',
                $domain,
                Explanation::number($authority),
                Explanation::number($ours),
            ),
            'Look for competitors of your size among the candidates.',
            Stage::Gather,
            null,
            null,
        );
    }
}
