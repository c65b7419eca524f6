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
    case Worth = 'worth';
    case Value = 'value';
    case Intent = 'intent';
    case Fit = 'fit';

    /** What the figure behind it is, in words. */
    public function meaning(): string
    {
        return match ($this) {
            self::Expected => 'expected visits',
            self::Volume => 'searches a month',
            self::Ease => 'low difficulty',
            self::Gain => 'visits at the target',
            self::Worth => 'expected visits per day of work',
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
