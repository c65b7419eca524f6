<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Weights;

/** Every setting of a rulebook, in the order in which the rules use them. */
final class Settings
{
    private const BUY = [
        'buy',
        'order',
        'purchase',
        'coupon',
        'deal',
        'discount',
        'voucher',
        'price',
        'pricing',
        'cost',
        'shipping',
        'delivery',
        'for sale',
        'near me',
        'shop',
        'store',
    ];
    private const COMPARE = ['best', 'top', 'review', 'vs', 'versus', 'compare', 'comparison', 'alternative', 'cheap', 'cheapest'];
    private const LEARN = [
        'how',
        'what',
        'why',
        'when',
        'guide',
        'tutorial',
        'tip',
        'idea',
        'way to',
        'learn',
        'meaning',
        'example',
        'diy',
    ];
    private const BUY_FEATURES = ['products', 'shopping', 'prices'];
    private const LEARN_FEATURES = ['featured snippet', 'answer', 'questions', 'video', 'how-to'];
    private const SOURCES = ['keywords', 'rankings'];
    private const DOMAIN_SOURCES = ['lists', 'pulls'];
    private const MANY = 1e9;

    /** @var ?array<string, Setting> */
    private static ?array $all = null;

    /** @return array<string, Setting> */
    public static function all(): array
    {
        if (self::$all === null) {
            $settings = [
                ...self::comparing(),
                ...self::clicks(),
                ...self::winning(),
                ...self::weighing(),
                ...self::planning(),
                ...self::words(),
            ];
            self::$all = array_combine(array_map(static fn(Setting $setting): string => $setting->key, $settings), $settings);
        }

        return self::$all;
    }

    /** @return list<Setting> */
    private static function comparing(): array
    {
        return [
            Setting::choice('within', '100', ['10', '20', '50', '100'], 'A position counts as ranking only up to this one.'),
            Setting::number(
                'movement_noise',
                .2,
                0,
                1,
                'A change of position up to this share of the better one is daily jitter and counts as steady.',
            ),
            Setting::int('striking_from', 6, 1, 100, 'Best position of the striking distance.'),
            Setting::int('striking_to', 20, 1, 100, 'Worst position of the striking distance; not better than its best.'),
        ];
    }

    /** @return list<Setting> */
    private static function clicks(): array
    {
        return [
            Setting::choice(
                'curve',
                'auto',
                ['auto', 'default', '2006', 'fitted', 'own'],
                'CTR curve in use; auto uses our own clicks once there are enough.',
            ),
            Setting::curve('curve_own', 'Custom CTR curve, position 1 first.'),
            Setting::number(
                'curve_prior',
                500,
                0,
                self::MANY,
                'Weight of the default curve in each bin of the fitted curve, in impressions.',
            ),
            Setting::int('target', 3, 1, 100, 'Target position for keywords without one of their own.'),
            Setting::int('target_near', 5, 0, 100, 'Up to this position the target is 1; 0 for never.'),
            Setting::shares(
                'feature_clicks',
                [],
                'Share of clicks that a results-page feature leaves to the results.',
            ),
            Setting::number('conversion_rate', 0.02, 0, 1, 'Share of visits that convert.'),
            Setting::shares(
                'conversion_rates',
                array_column(Intent::cases(), 'value'),
                'Share of visits that convert, by the intent of the keyword; the conversion rate above where none is given.',
            ),
            Setting::number('value_per_conversion', null, 0, self::MANY, 'Value of one conversion; empty hides revenue.'),
        ];
    }

    /** @return list<Setting> */
    private static function winning(): array
    {
        return [
            Setting::int(
                'comfort_volume',
                100,
                0,
                1_000_000_000,
                'Smallest volume of keywords used for the comfort difficulty.',
            ),
            Setting::number('peer_band', 5, 0, 100, 'Difference in authority that still counts as similar.'),
            Setting::number('model_lambda', 1, .001, 1000, 'Weight of the penalty on the position model\'s standardised slopes.'),
            Setting::number('moving_share', .35, 0, 1, 'Share of existing pages that move when we work on them (assumed).'),
            Setting::number('title_success', .5, 0, 1, 'Share of title tests that close the gap to the CTR curve (assumed).'),
            Setting::choice('effect_learnt', 'yes', ['yes', 'no'], 'Whether forecasts learn from finished items.'),
            Setting::int('topic_evidence', 2, 1, 11, 'Domains that must rank the same page for two keywords to put them in one topic.'),
        ];
    }

    /** @return list<Setting> */
    private static function weighing(): array
    {
        return [
            Setting::choice('scores', 'smooth', ['smooth', 'stepped'], 'Whether scores rise smoothly between bounds or by points.'),
            Setting::bands('expected_bands', [2, 10, 40, 150, 600], self::MANY, 'Expected gains from which expected scores 1 to 5.'),
            Setting::bands('volume_bands', [10, 50, 200, 1000, 5000], self::MANY, 'Volumes from which the criterion volume scores 1 to 5.'),
            Setting::ease('ease_bands', [10, 20, 35, 50, 70], 'Difficulties up to which the criterion ease scores 5, 4, 3, 2 and 1.'),
            Setting::bands('gain_bands', [5, 20, 75, 250, 1000], self::MANY, 'Gains from which the criterion gain scores 1 to 5.'),
            Setting::bands('worth_bands', [2, 10, 40, 150, 600], self::MANY, 'Expected gains a day from which worth scores 1 to 5.'),
            Setting::bands('value_bands', [0.25, 0.75, 1.5, 3, 6], self::MANY, 'CPCs from which the criterion value scores 1 to 5.'),
            Setting::weights('weights', Weights::PRESETS[Weights::STANDARD], 'How much each criterion counts in the priority.'),
            Setting::fits(
                'fit_rules',
                'Business fit by phrase in the keyword or its topic; a person’s own value wins.',
            ),
            Setting::int('min_fit', 0, 0, 5, 'Smallest business fit on the list; 0 for all.'),
            Setting::int('steadiness_draws', 500, 1, 100_000, 'Simulations with random weights for stability.'),
            Setting::int('steadiness_top', 20, 1, 1000, 'Ranks that count as the top for stability.'),
            Setting::number('quick_win_gain', 10, 0, self::MANY, 'Smallest gain of a quick win, visits a month.'),
            Setting::number(
                'short_term_chance',
                .25,
                0,
                1,
                'Reach from which the horizon is short term; below it, links are needed.',
            ),
            Setting::number('title_ctr_ratio', .7, 0, 10, 'Share of the curve below which a measured CTR suggests a title test.'),
        ];
    }

    /** @return list<Setting> */
    private static function planning(): array
    {
        $effort = static fn(string $tactic, float $days, string $what): Setting => Setting::number(
            'effort_'.$tactic,
            $days,
            0,
            365,
            'Days of work for '.$what.'.',
        );
        $ramp = static fn(string $tactic, int $months, string $what): Setting => Setting::int(
            'ramp_'.$tactic,
            $months,
            1,
            36,
            'Months until '.$what.' pays in full.',
        );

        return [
            $effort('new', 3, 'a new page'),
            $effort('extend', 1.5, 'extending a page'),
            $effort('improve', 1, 'improving a page'),
            $effort('refresh', 1.5, 'refreshing a page'),
            $effort('merge', 1, 'merging pages'),
            $effort('title', .5, 'a title test'),
            $effort('keywords', .5, 'every ten open keywords beyond the first ten, at most 2 in sum'),
            $effort('link', 1, 'each link to earn'),
            $ramp('new', 4, 'a new page'),
            $ramp('extend', 3, 'an extended page'),
            $ramp('improve', 2, 'an improved page'),
            $ramp('refresh', 2, 'a refreshed page'),
            $ramp('merge', 2, 'a merged page'),
            $ramp('title', 1, 'a new title'),
            Setting::int('forecast_draws', 2000, 1, 100_000, 'Simulations of the forecast.'),
            Setting::number('forecast_sigma', .3, 0, 3, 'Spread of the volume in the forecast (sigma of its logarithm).'),
            Setting::int('seed', 1, 0, 2_147_483_647, 'Seed of all random draws.'),
        ];
    }

    /** @return list<Setting> */
    private static function words(): array
    {
        return [
            Setting::words('intent_buy', self::BUY, 'Words that show the intent to buy; the first list that matches wins.'),
            Setting::words('intent_compare', self::COMPARE, 'Words that show the intent to compare.'),
            Setting::words('intent_learn', self::LEARN, 'Words that show the intent to learn.'),
            Setting::words('intent_buy_features', self::BUY_FEATURES, 'Results-page features that mean intent to buy.'),
            Setting::words('intent_learn_features', self::LEARN_FEATURES, 'Results-page features that mean intent to learn.'),
            Setting::words('negatives', [], 'Words whose keywords to hide.'),
            Setting::ordering('metric_sources', self::SOURCES, self::SOURCES, 'Which source of a metric wins, best first.'),
            Setting::ordering(
                'volume_sources',
                [],
                self::SOURCES,
                'Which source of the volume wins, best first; empty for the order of all.',
            ),
            Setting::ordering(
                'difficulty_sources',
                [],
                self::SOURCES,
                'Which source of the difficulty wins, best first; empty for the order of all.',
            ),
            Setting::ordering(
                'cpc_sources',
                [],
                self::SOURCES,
                'Which source of CPC and advertiser competition wins, best first; empty for the order of all.',
            ),
            Setting::ordering(
                'authority_sources',
                [],
                self::DOMAIN_SOURCES,
                'Which source of authority and referring domains wins, best first: lists imported, or pulls; empty for the newest.',
            ),
        ];
    }
}
