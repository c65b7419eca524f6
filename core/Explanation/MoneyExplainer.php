<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

/** Explains what the gain of one keyword is worth: as clicks bought, as conversions, as revenue. */
final readonly class MoneyExplainer
{
    private Input $gain;

    public function __construct(private FigureInputs $facts)
    {
        $this->gain = new Input('gain', $facts->clicks()->gain, 'visits a month');
    }

    /** @return array<string, Explanation> figure → explanation; no revenue while no value per conversion is set */
    public function all(): array
    {
        $money = ['gain_value' => $this->gainValue(), 'conversions' => $this->conversions()];

        return $this->facts->conversion->value === null
            ? $money
            : [...$money, 'revenue' => $this->revenue($this->facts->conversion->value)];
    }

    private function gainValue(): Explanation
    {
        $step = self::product($this->gain->value, $this->facts->cpc, $this->facts->clicks()->gainValue($this->facts->cpc), 'a month');

        return new Explanation(
            'gain_value',
            'What the gained visits would cost as bought clicks: gain × CPC.',
            [$this->gain, new Input('CPC', $this->facts->cpc, 'a click', $this->facts->cpcSource)],
            [$step],
        );
    }

    private function conversions(): Explanation
    {
        $rate = $this->facts->conversion->rate;

        return new Explanation(
            'conversions',
            'Gain × conversion rate.',
            [$this->gain, new Input('conversion rate', $rate, 'of visits', $this->facts->conversion->rateSource)],
            [self::product($this->gain->value, $rate, $this->facts->clicks()->conversions($rate), 'conversions a month')],
            ['We assume the same conversion rate for every visit.'],
        );
    }

    private function revenue(float $value): Explanation
    {
        $rate = $this->facts->conversion->rate;
        $conversions = $this->facts->clicks()->conversions($rate);

        return new Explanation(
            'revenue',
            'Conversions × value per conversion.',
            [
                new Input('conversions', $conversions, 'a month'),
                new Input('value per conversion', $value, '', $this->facts->conversion->valueSource),
            ],
            [self::product($conversions, $value, $this->facts->clicks()->revenue($rate, $value), 'a month')],
            ['We assume the same value for every conversion.'],
        );
    }

    private static function product(int|float|string|null $one, ?float $other, ?float $result, string $unit): string
    {
        return \sprintf(
            '%s × %s = %s.',
            Explanation::number(\is_string($one) ? null : $one),
            Explanation::number($other),
            Explanation::number($result).($result === null ? '' : ' '.$unit),
        );
    }
}
