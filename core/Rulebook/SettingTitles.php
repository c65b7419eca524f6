<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

/** What people call each setting; scripts know it by its key. */
final class SettingTitles
{
    private const TITLES = [
        'within' => 'Counts as ranking up to',
        'movement_noise' => 'Daily jitter',
        'striking_from' => 'Striking distance from',
        'striking_to' => 'Striking distance to',
        'curve' => 'CTR curve',
        'curve_own' => 'Custom CTR curve',
        'curve_prior' => 'Weight of the default curve',
        'target' => 'Target position',
        'target_near' => 'Target 1 up to',
        'feature_clicks' => 'Clicks left by features',
        'conversion_rate' => 'Conversion rate',
        'conversion_rates' => 'Conversion rate by intent',
        'value_per_conversion' => 'Value of a conversion',
        'comfort_volume' => 'Smallest volume for comfort',
        'peer_band' => 'Similar authority within',
        'model_lambda' => 'Penalty of the position model',
        'moving_share' => 'Existing pages that move',
        'title_success' => 'Title tests that succeed',
        'effect_learnt' => 'Learn from finished items',
        'topic_evidence' => 'Domains that prove a topic',
        'scores' => 'Scores',
        'expected_bands' => 'Bounds of expected gain',
        'volume_bands' => 'Bounds of volume',
        'ease_bands' => 'Bounds of ease',
        'gain_bands' => 'Bounds of gain',
        'worth_bands' => 'Bounds of worth',
        'value_bands' => 'Bounds of value',
        'weights' => 'Weights of the criteria',
        'fit_rules' => 'Business fit by phrase',
        'min_fit' => 'Smallest business fit',
        'steadiness_draws' => 'Simulations for stability',
        'steadiness_top' => 'Top ranks for stability',
        'quick_win_gain' => 'Smallest gain of a quick win',
        'short_term_chance' => 'Reach of short term',
        'title_ctr_ratio' => 'CTR that suggests a title test',
        'effort_new' => 'New page',
        'effort_extend' => 'Extend page',
        'effort_improve' => 'Improve page',
        'effort_refresh' => 'Refresh page',
        'effort_merge' => 'Merge pages',
        'effort_title' => 'Title test',
        'effort_keywords' => 'Ten more keywords',
        'effort_link' => 'Link to earn',
        'ramp_new' => 'New page pays in full after',
        'ramp_extend' => 'Extended page pays in full after',
        'ramp_improve' => 'Improved page pays in full after',
        'ramp_refresh' => 'Refreshed page pays in full after',
        'ramp_merge' => 'Merged page pays in full after',
        'ramp_title' => 'New title pays in full after',
        'forecast_draws' => 'Simulations of the forecast',
        'forecast_sigma' => 'Spread of the volume',
        'seed' => 'Seed of random draws',
        'intent_buy' => 'Words of intent to buy',
        'intent_compare' => 'Words of intent to compare',
        'intent_learn' => 'Words of intent to learn',
        'intent_buy_features' => 'Features of intent to buy',
        'intent_learn_features' => 'Features of intent to learn',
        'negatives' => 'Negative words',
        'metric_sources' => 'Order of sources',
        'volume_sources' => 'Order of sources for volume',
        'difficulty_sources' => 'Order of sources for difficulty',
        'cpc_sources' => 'Order of sources for CPC',
        'authority_sources' => 'Order of sources for authority',
    ];

    /** Falls back to the key; a test fails for a setting without a title. */
    public static function of(string $key): string
    {
        return self::TITLES[$key] ?? $key;
    }
}
