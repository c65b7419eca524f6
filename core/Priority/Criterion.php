<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

/** What an opportunity is judged by, each 0–5. The order is fixed: weights are summed in it. */
enum Criterion: string
{
    case Expected = 'expected';
    case Volume = 'volume';
    case Ease = 'ease';
    case Gain = 'gain';
    case Value = 'value';
    case Intent = 'intent';
    case Fit = 'fit';

    /** What the figure behind it is, in words. */
    public function meaning(): string
    {
        return match ($this) {
            self::Expected => 'visits to expect',
            self::Volume => 'searches a month',
            self::Ease => 'low difficulty',
            self::Gain => 'visits to win',
            self::Value => 'cost per click',
            self::Intent => 'buy before compare before learn',
            self::Fit => 'business fit, by hand or by rule',
        };
    }

    /** @return list<string> */
    public static function names(): array
    {
        return array_column(self::cases(), 'value');
    }
}
