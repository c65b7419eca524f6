<?php

declare(strict_types=1);

namespace Tests\Core\Rulebook;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Rulebook\Rulebook;
use GreaterReach\Core\Rulebook\Settings;
use GreaterReach\Core\Rulebook\SettingTitles;
use GreaterReach\Core\Rulebook\SettingType;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\Golden;

final class RulebookTest extends TestCase
{
    public function test_every_default_can_be_written_and_read_back(): void
    {
        $standard = Rulebook::standard();
        foreach (array_keys(Settings::all()) as $key) {
            if ($key !== 'curve_own' && $key !== 'negatives') {
                self::assertEquals($standard->value($key), $standard->with([$key => $standard->spelt($key)])->value($key), $key);
            }
        }
        self::assertSame([], $standard->changes());
    }

    /** @return iterable<string, array{string, string}> what was agreed on before there was any code */
    public static function agreed(): iterable
    {
        yield 'a position counts up to' => ['within', '100'];
        yield 'striking distance from' => ['striking_from', '6'];
        yield 'striking distance to' => ['striking_to', '20'];
        yield 'the curve' => ['curve', 'auto'];
        yield 'impressions of the default curve in a fitted one' => ['curve_prior', '500'];
        yield 'target' => ['target', '3'];
        yield 'conversion rate' => ['conversion_rate', '0.02'];
        yield 'volume of comfort' => ['comfort_volume', '100'];
        yield 'comparable authority' => ['peer_band', '5'];
        yield 'penalty of the position model' => ['model_lambda', '1'];
        yield 'pages that move when worked on' => ['moving_share', '0.35'];
        yield 'title tests that succeed' => ['title_success', '0.5'];
        yield 'daily jitter' => ['movement_noise', '0.2'];
        yield 'target in striking distance' => ['target_near', '5'];
        yield 'days for more keywords' => ['effort_keywords', '0.5'];
        yield 'effect learnt' => ['effect_learnt', 'yes'];
        yield 'scores' => ['scores', 'smooth'];
        yield 'bands of expected gain' => ['expected_bands', '2,10,40,150,600'];
        yield 'weights' => ['weights', 'expected:2,worth:4,intent:1'];
        yield 'gain of a quick win' => ['quick_win_gain', '10'];
        yield 'features that take clicks' => ['feature_clicks', ''];
        yield 'conversion rates' => ['conversion_rates', ''];
        yield 'evidence for a topic' => ['topic_evidence', '2'];
        yield 'bands of volume' => ['volume_bands', '10,50,200,1000,5000'];
        yield 'bands of ease' => ['ease_bands', '10,20,35,50,70'];
        yield 'bands of gain' => ['gain_bands', '5,20,75,250,1000'];
        yield 'bands of value' => ['value_bands', '0.25,0.75,1.5,3,6'];
        yield 'draws for steadiness' => ['steadiness_draws', '500'];
        yield 'places that count as steady' => ['steadiness_top', '20'];
        yield 'reach of the short term' => ['short_term_chance', '0.25'];
        yield 'clicks that ask for another title' => ['title_ctr_ratio', '0.7'];
        yield 'days for a new page' => ['effort_new', '3'];
        yield 'days to extend' => ['effort_extend', '1.5'];
        yield 'days to improve' => ['effort_improve', '1'];
        yield 'days to refresh' => ['effort_refresh', '1.5'];
        yield 'days to merge' => ['effort_merge', '1'];
        yield 'days for a title' => ['effort_title', '0.5'];
        yield 'days for a link' => ['effort_link', '1'];
        yield 'months until a new page pays' => ['ramp_new', '4'];
        yield 'until an extended one pays' => ['ramp_extend', '3'];
        yield 'until an improved one pays' => ['ramp_improve', '2'];
        yield 'until a refreshed one pays' => ['ramp_refresh', '2'];
        yield 'until merged ones pay' => ['ramp_merge', '2'];
        yield 'until a title pays' => ['ramp_title', '1'];
        yield 'draws of a forecast' => ['forecast_draws', '2000'];
        yield 'scatter of volume' => ['forecast_sigma', '0.3'];
    }

    public function test_every_setting_has_a_title_of_its_own(): void
    {
        $keys = array_keys(Settings::all());
        $titles = array_map(SettingTitles::of(...), $keys);
        self::assertSame([], array_values(array_intersect($keys, $titles)), 'These have no title yet.');
        self::assertSame($titles, array_unique($titles));
    }

    public function test_shares_are_given_by_name(): void
    {
        $rulebook = Rulebook::fromTexts([
            'feature_clicks' => ' Answer : .6,video:80 %',
            'conversion_rates' => 'buy:.05',
            'model_lambda' => '.001',
        ]);
        self::assertSame(['answer' => .6, 'video' => .8], $rulebook->shares('feature_clicks'));
        self::assertSame('answer:0.6,video:0.8', $rulebook->spelt('feature_clicks'));
        self::assertSame([.05, null, null], array_map($rulebook->conversionRateOf(...), [Intent::Buy, Intent::Learn, null]));
        self::assertSame([], $rulebook->with(['feature_clicks' => ''])->shares('feature_clicks'));
    }

    #[DataProvider('agreed')]
    public function test_the_defaults_are_those_agreed_on(string $key, string $value): void
    {
        self::assertSame($value, Rulebook::standard()->spelt($key));
    }

    public function test_a_rule_of_fit_names_a_word_and_a_fit(): void
    {
        $set = Rulebook::standard()->with(['fit_rules' => 'Nib:1, pen: 4, nib:5']);
        self::assertSame(['nib' => 1.0, 'pen' => 4.0], $set->value('fit_rules'));
        foreach (['pen', 'pen:6', '!:3', ':3'] as $wrong) {
            try {
                Rulebook::standard()->with(['fit_rules' => $wrong]);
                self::fail("{$wrong} was taken.");
            } catch (InvalidValue $refused) {
                self::assertStringContainsString('phrase:fit pairs', $refused->getMessage());
            }
        }
    }

    public function test_a_changed_setting_is_told_apart_from_a_default(): void
    {
        $rulebook = Rulebook::fromTexts(['target' => '2', 'within' => '100', 'conversion_rate' => '3 %', 'negatives' => 'Free, wasp nest']);
        self::assertSame(['conversion_rate' => '0.03', 'negatives' => 'free,wasp nest', 'target' => '2'], $rulebook->changes());
    }

    public function test_bands_of_ease_lie_from_0_to_below_100(): void
    {
        foreach (['0,20,35,50,70', '10,20,35,50,99.9'] as $bands) {
            self::assertSame($bands, Rulebook::standard()->with(['ease_bands' => $bands])->spelt('ease_bands'));
        }
    }

    /** @return iterable<string, array{string, string, string}> */
    public static function refused(): iterable
    {
        yield 'an unknown key' => ['luck', '1', 'is unknown'];
        yield 'a place that is none' => ['within', '33', 'one of 10, 20, 50, 100'];
        yield 'no whole number' => ['target', '2.5', 'a whole number from 1 to 100'];
        yield 'out of range' => ['target', '101', 'a whole number from 1 to 100'];
        yield 'a rate over 100 %' => ['conversion_rate', '120%', 'a number from 0 to 1'];
        yield 'bands out of order' => ['volume_bands', '10,50,20,100,200', 'five numbers'];
        yield 'too few bands' => ['ease_bands', '10,20', 'five numbers'];
        yield 'an exponent' => ['curve_prior', '1e3', 'a number from'];
        yield 'weights all zero' => ['weights', 'volume:0', 'all zero'];
        yield 'a share above 1' => ['feature_clicks', 'answer:1.1', 'name:share pairs'];
        yield 'a share without a name' => ['feature_clicks', ':.5', 'name:share pairs'];
        yield 'a name twice' => ['feature_clicks', 'map:.5,MAP:.6', 'name:share pairs'];
        yield 'an intent that is none' => ['conversion_rates', 'wish:.5', 'buy, compare, learn, open:share pairs'];
        yield 'bands of ease that do not rise' => ['ease_bands', '10,10,35,50,70', 'each above the one before and below 100'];
        yield 'bands of ease below 0' => ['ease_bands', '-1,20,35,50,70', 'each above the one before and below 100'];
        yield 'bands of ease up to 100' => ['ease_bands', '10,20,35,50,100', 'each above the one before and below 100'];
        yield 'too little penalty' => ['model_lambda', '0.0009', 'from 0.001 to 1,000'];
        yield 'a curve that rises' => ['curve_own', 'x1,'.implode(',', array_fill(0, 99, '0.2')), 'is not allowed'];
        yield 'a curve that rises, well written' => ['curve_own', '0.1,'.implode(',', array_fill(0, 99, '0.2')), 'never rises'];
        yield 'a curve of one\'s own that is not there' => ['curve', 'own', 'needs 100 numbers'];
        yield 'striking distance turned round' => ['striking_from', '30', 'is worse than'];
        yield 'a source twice' => ['metric_sources', 'keywords,keywords', 'at most once'];
    }

    #[DataProvider('refused')]
    public function test_a_wrong_value_is_refused_with_the_allowed_range(string $key, string $value, string $reason): void
    {
        $this->expectException(InvalidValue::class);
        $this->expectExceptionMessage($reason);
        Rulebook::fromTexts([$key => $value]);
    }

    public function test_a_curve_of_ones_own_can_be_set_and_used_together(): void
    {
        $rates = implode(',', array_map(static fn(float $rate): string => sprintf('%.12F', $rate), CtrCurve::queryLog2006()->rates()));
        $rulebook = Rulebook::fromTexts(['curve_own' => $rates, 'curve' => 'own']);
        self::assertCount(100, $rulebook->numbers('curve_own'));
    }

    public function test_asking_for_what_is_not_there_is_a_misuse(): void
    {
        $this->expectException(InvalidArgument::class);
        Rulebook::standard()->int('luck');
    }

    public function test_every_setting_has_the_default_and_the_bounds_that_are_written_down(): void
    {
        $written = array_column(array_merge(...array_values([...Golden::cases(__DIR__.'/settings.txt')])), null, 'case');
        self::assertSame(array_keys($written), array_keys(Settings::all()));
        foreach (Settings::all() as $key => $setting) {
            $said = [$key, Rulebook::standard()->spelt($key), $setting->bounds()];
            self::assertSame([$key, $written[$key]['default'], $written[$key]['allowed']], $said);
            self::assertSame($key, $setting->key);
            self::assertStringEndsWith('.', $setting->meaning);
        }
    }

    public function test_a_number_may_be_its_least_and_its_most_and_nothing_beyond(): void
    {
        $rulebook = Rulebook::standard();
        foreach (Settings::all() as $key => $setting) {
            if (\in_array($setting->type, [SettingType::Integer, SettingType::Number], true) && ! str_starts_with($key, 'striking')) {
                [$least, $most] = [(float) $setting->min, (float) $setting->max];
                foreach ([$least, $most] as $bound) {
                    self::assertEquals($bound, $rulebook->with([$key => self::spelt($bound)])->value($key), $key);
                }
                foreach ([$least - 1, $most + 1] as $beyond) {
                    self::assertIsRefused(static fn(): Rulebook => $rulebook->with([$key => self::spelt($beyond)]), $setting->bounds());
                }
            }
        }
    }

    private static function spelt(float $number): string
    {
        return rtrim(rtrim(sprintf('%.4F', $number), '0'), '.');
    }

    /** @param \Closure(): Rulebook $set */
    private static function assertIsRefused(\Closure $set, string $reason): void
    {
        try {
            $set();
            self::fail('It was taken, though it may only be '.$reason);
        } catch (InvalidValue $refused) {
            self::assertStringContainsString($reason, $refused->getMessage());
        }
    }

    public function test_numbers_are_read_as_people_write_them_and_no_longer_than_they_mean_anything(): void
    {
        $read = static fn(string $key, string $text): mixed => Rulebook::fromTexts([$key => $text])->value($key);
        $effects = array_map(static fn(string $text): mixed => $read('moving_share', $text), ['.5', ' 25% ', '12.5 %', '1']);
        self::assertSame([.5, .25, .125, 1.0], $effects);
        self::assertSame([7, 100], [$read('target', ' 7 '), $read('target', '0000000100')]);
        self::assertSame(.12345678901234568, $read('moving_share', '0.12345678901234567890'));
        $wrong = [
            'moving_share' => ['', '-1', '+.5', '0.', '1 2', '.'.str_repeat('1', 21), '50 % %'],
            'target' => ['', '7.0', '00000000007', '7%', '-7'],
        ];
        foreach ($wrong as $key => $texts) {
            foreach ($texts as $text) {
                $reason = 'is not allowed; give '.Settings::all()[$key]->bounds();
                self::assertIsRefused(static fn(): Rulebook => Rulebook::fromTexts([$key => $text]), $reason);
            }
        }
        self::assertNull($read('value_per_conversion', ' '));
        self::assertSame(12.5, $read('value_per_conversion', '12.5'));
    }

    public function test_orders_and_lists_are_read_part_by_part(): void
    {
        $read = static fn(string $key, string $text): mixed => Rulebook::fromTexts([$key => $text])->value($key);
        self::assertSame(['rankings', 'keywords'], $read('metric_sources', ' rankings ,, keywords'));
        self::assertSame(['rankings'], $read('volume_sources', 'rankings'));
        self::assertSame([], $read('volume_sources', ' , '));
        foreach (['metric_sources' => ['', 'luck', 'rankings,luck'], 'volume_sources' => ['rankings,rankings']] as $key => $texts) {
            foreach ($texts as $text) {
                self::assertIsRefused(static fn(): Rulebook => Rulebook::fromTexts([$key => $text]), 'at most once, best first');
            }
        }
        self::assertSame(['for sale', 'wasp nest'], $read('negatives', ' For  Sale,WASP nest,, '));
        self::assertSame(['ease' => 2.0], $read('weights', 'ease:2,gain:0'));
        self::assertSame('smooth', $read('scores', ' smooth '));
        self::assertIsRefused(static fn(): Rulebook => Rulebook::fromTexts(['scores' => 'Smooth']), 'one of smooth, stepped');
    }

    public function test_what_is_asked_for_in_another_shape_is_a_misuse(): void
    {
        $rulebook = Rulebook::standard();
        $asked = [fn() => $rulebook->float('weights'), fn() => $rulebook->words('target'), fn() => $rulebook->value('luck')];
        foreach ($asked as $ask) {
            try {
                $ask();
                self::fail('It was told.');
            } catch (InvalidArgument $misuse) {
                self::assertMatchesRegularExpression('/is a list|is not a list|There is no rulebook key/', $misuse->getMessage());
            }
        }
        self::assertSame([null, 4.5], [
            $rulebook->optionalFloat('value_per_conversion'),
            $rulebook->with(['value_per_conversion' => '4.5'])->optionalFloat('value_per_conversion'),
        ]);
    }

    public function test_striking_distance_may_be_one_place_and_the_curve_of_ones_own_needs_its_numbers(): void
    {
        self::assertSame(9, Rulebook::fromTexts(['striking_from' => '9', 'striking_to' => '9'])->int('striking_to'));
        self::assertIsRefused(
            static fn(): Rulebook => Rulebook::fromTexts(['striking_from' => '10', 'striking_to' => '9']),
            'is worse than striking_to, which is 9',
        );
    }

    public function test_each_topic_gets_the_settings_that_it_uses(): void
    {
        $rulebook = Rulebook::fromTexts([
            'target' => '2', 'striking_from' => '4', 'striking_to' => '15', 'quick_win_gain' => '11', 'short_term_chance' => '.3',
            'title_ctr_ratio' => '.6', 'scores' => 'stepped', 'min_fit' => '3', 'effort_link' => '.75', 'effort_new' => '7',
            'ramp_new' => '9',
            'effort_title' => '.25', 'ramp_title' => '3', 'weights' => 'gain:3,value:1',
        ]);
        $effort = $rulebook->effort();
        self::assertSame([9, 3, 3], [$effort->ramp(Tactic::NewPage), $effort->ramp(Tactic::TestTitle), $effort->ramp(Tactic::ExtendPage)]);
        self::assertSame(['gain' => 3.0, 'value' => 1.0], array_filter($rulebook->priorities()->toArray()));
        self::assertSame(['gain' => 3.0, 'value' => 1.0], $rulebook->weights());
        self::assertNotEquals(Rulebook::standard()->weighing(), $rulebook->weighing());
        self::assertNotEquals(Rulebook::standard()->fitGate(), $rulebook->fitGate());
    }
}
