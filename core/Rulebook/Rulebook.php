<?php

declare(strict_types=1);

namespace GreaterReach\Core\Rulebook;

use GreaterReach\Core\Clicks\FeatureClicks;
use GreaterReach\Core\Exception\InvalidArgument;
use GreaterReach\Core\Exception\InvalidValue;
use GreaterReach\Core\Meaning\FitRules;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Meaning\IntentRules;
use GreaterReach\Core\Metrics\SourcePrecedence;
use GreaterReach\Core\Priority\Bands;
use GreaterReach\Core\Priority\Effort;
use GreaterReach\Core\Priority\FitGate;
use GreaterReach\Core\Priority\ScoreStyle;
use GreaterReach\Core\Priority\StrikingDistance;
use GreaterReach\Core\Priority\Tactic;
use GreaterReach\Core\Priority\WeighSettings;
use GreaterReach\Core\Priority\Weights;

/**
 * The settings of one study: every default that it has not changed, and what it has. Always valid as a whole.
 */
final readonly class Rulebook
{
    /** @param array<string, int|float|string|list<float>|list<string>|array<string, float>|null> $changed */
    private function __construct(private array $changed)
    {
    }

    public static function standard(): self
    {
        return new self([]);
    }

    /**
     * @param array<string, string> $texts key → value as a person writes it
     *
     * @throws InvalidValue naming the key and its allowed range
     */
    public static function fromTexts(array $texts): self
    {
        return self::standard()->with($texts);
    }

    /**
     * The same rulebook with some settings changed, all or none.
     *
     * @param array<string, string> $texts key → value as a person writes it
     *
     * @throws InvalidValue
     */
    public function with(array $texts): self
    {
        $changed = $this->changed;
        foreach ($texts as $key => $text) {
            $setting = Settings::all()[$key] ?? throw InvalidValue::because('rulebook key', $key, 'is unknown');
            $changed[$key] = SettingReader::read($setting, $text);
        }
        $rulebook = new self($changed);
        $rulebook->check();

        return $rulebook;
    }

    public function int(string $key): int
    {
        return (int) $this->scalar($key);
    }

    public function float(string $key): float
    {
        return (float) $this->scalar($key);
    }

    public function optionalFloat(string $key): ?float
    {
        $value = $this->scalar($key);

        return $value === null ? null : (float) $value;
    }

    public function text(string $key): string
    {
        return (string) $this->scalar($key);
    }

    /** @return list<float> */
    public function numbers(string $key): array
    {
        return array_map(floatval(...), array_values($this->list($key)));
    }

    /** @return list<string> */
    public function words(string $key): array
    {
        return array_map(strval(...), array_values($this->list($key)));
    }

    /** @return array<string, float> */
    public function weights(): array
    {
        $weights = [];
        foreach ($this->list('weights') as $name => $weight) {
            $weights[(string) $name] = (float) $weight;
        }

        return $weights;
    }

    /** @return array<array-key, int> phrase → fit 0…5, the first rule first */
    public function fits(): array
    {
        return array_map(intval(...), $this->list('fit_rules'));
    }

    /** @return array<string, float> name → share 0…1 */
    public function shares(string $key): array
    {
        $shares = [];
        foreach ($this->list($key) as $name => $share) {
            $shares[(string) $name] = (float) $share;
        }

        return $shares;
    }

    /** The share of visits that convert for a keyword of this intent; null where none is given for it. */
    public function conversionRateOf(?Intent $intent): ?float
    {
        return $this->shares('conversion_rates')[$intent->value ?? ''] ?? null;
    }

    public function weighing(): WeighSettings
    {
        return new WeighSettings(
            $this->int('target'),
            $this->int('target_near'),
            $this->float('moving_share'),
            $this->float('title_success'),
            $this->effort(),
            new StrikingDistance($this->int('striking_from'), $this->int('striking_to')),
            $this->float('quick_win_gain'),
            $this->float('short_term_chance'),
            $this->float('title_ctr_ratio'),
            IntentRules::of(
                $this->words('intent_buy'),
                $this->words('intent_compare'),
                $this->words('intent_learn'),
                $this->words('intent_buy_features'),
                $this->words('intent_learn_features'),
            ),
            FitRules::of($this->fits()),
            ScoreStyle::from($this->text('scores')),
            new FeatureClicks($this->shares('feature_clicks')),
            Bands::of($this->numbers('expected_bands')),
            Bands::of($this->numbers('volume_bands')),
            Bands::ofEase($this->numbers('ease_bands')),
            Bands::of($this->numbers('gain_bands')),
            Bands::of($this->numbers('worth_bands')),
            Bands::of($this->numbers('value_bands')),
        );
    }

    public function effort(): Effort
    {
        $days = $ramps = [];
        foreach (Tactic::cases() as $tactic) {
            $days[$tactic->value] = $this->float('effort_'.$tactic->rulebookSuffix());
            $ramps[$tactic->value] = $this->int('ramp_'.$tactic->rulebookSuffix());
        }

        return Effort::of($days, $this->float('effort_keywords'), $this->float('effort_link'), $ramps);
    }

    public function precedence(): SourcePrecedence
    {
        return SourcePrecedence::of($this->words('metric_sources'), [
            'volume' => $this->words('volume_sources'),
            'difficulty' => $this->words('difficulty_sources'),
            'cpc' => $this->words('cpc_sources'),
        ]);
    }

    public function fitGate(): FitGate
    {
        return FitGate::from($this->int('min_fit'));
    }

    /** Weights how much, where nothing else is asked for. */
    public function priorities(): Weights
    {
        return Weights::of($this->weights());
    }

    /** The value as a person would write it to set it again. */
    public function spelt(string $key): string
    {
        $value = $this->value($key);
        if (! \is_array($value)) {
            return (string) $value;
        }
        $isPaired = \in_array(Settings::all()[$key]->type, [SettingType::Weights, SettingType::Fits, SettingType::Shares], true);
        $pairs = !$isPaired
            ? $value
            : array_map(static fn(int|string $name, float|string $weight): string => $name.':'.$weight, array_keys($value), $value);

        return implode(',', $pairs);
    }

    /** @return array<string, string> the settings that differ from the defaults, as a person would write them */
    public function changes(): array
    {
        $changes = [];
        foreach (array_keys($this->changed) as $key) {
            if ($this->value($key) !== Settings::all()[$key]->default) {
                $changes[$key] = $this->spelt($key);
            }
        }
        ksort($changes);

        return $changes;
    }

    /** @return int|float|string|list<float>|list<string>|array<string, float>|null */
    public function value(string $key): int|float|string|array|null
    {
        $setting = Settings::all()[$key] ?? throw InvalidArgument::because('There is no rulebook key "'.$key.'".');

        return \array_key_exists($key, $this->changed) ? $this->changed[$key] : $setting->default;
    }

    private function check(): void
    {
        if ($this->int('striking_from') > $this->int('striking_to')) {
            throw InvalidValue::because(
                'striking_from',
                $this->spelt('striking_from'),
                'is worse than striking_to, which is '.$this->spelt('striking_to'),
            );
        }
        if ($this->text('curve') === 'own' && $this->list('curve_own') === []) {
            throw InvalidValue::because('curve', 'own', 'needs 100 numbers in curve_own first');
        }
    }

    private function scalar(string $key): int|float|string|null
    {
        $value = $this->value($key);

        return \is_array($value) ? throw InvalidArgument::because('"'.$key.'" is a list.') : $value;
    }

    /** @return list<float>|list<string>|array<string, float> */
    private function list(string $key): array
    {
        $value = $this->value($key);

        return \is_array($value) ? $value : throw InvalidArgument::because('"'.$key.'" is not a list.');
    }
}
