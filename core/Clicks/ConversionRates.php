<?php

declare(strict_types=1);

namespace GreaterReach\Core\Clicks;

/**
 * How visits convert: as measured on the page itself; else as a person says for the intent; else as measured on the whole site; else as the
 * rulebook assumes.
 */
final readonly class ConversionRates
{
    /** @param array<string, MeasuredConversions> $pages URL key → what was measured on it */
    public function __construct(private array $pages = [], private ?MeasuredConversions $site = null)
    {
    }

    /**
     * @param ?float $ofIntent the rate given to the keyword's intent; null where none is
     * @param float  $assumed  the rate of everything else
     * @param ?float $value    of a conversion, as a person gave it; null where no one did
     */
    public function at(?string $page, ?float $ofIntent, float $assumed, ?float $value): ConversionRate
    {
        $onPage = self::trusted($this->pages[$page ?? ''] ?? null);
        $onSite = self::trusted($this->site);
        [$rate, $rateSource] = match (true) {
            $onPage !== null => [$onPage->rate(), self::source($onPage, 'on this page')],
            $ofIntent !== null => [$ofIntent, ConversionRate::RULEBOOK],
            $onSite !== null => [$onSite->rate(), self::source($onSite, 'on our site')],
            default => [$assumed, ConversionRate::RULEBOOK],
        };
        [$worth, $valueSource] = match (true) {
            $onPage?->value() !== null => [$onPage->value(), self::source($onPage, 'on this page')],
            $value !== null => [$value, ConversionRate::RULEBOOK],
            $onSite?->value() !== null => [$onSite->value(), self::source($onSite, 'on our site')],
            default => [null, ConversionRate::RULEBOOK],
        };

        return new ConversionRate($rate, $worth, $rateSource, $valueSource);
    }

    private static function trusted(?MeasuredConversions $measured): ?MeasuredConversions
    {
        return $measured?->isEnough() === true ? $measured : null;
    }

    private static function source(MeasuredConversions $measured, string $where): string
    {
        return "measured {$where}: ".number_format($measured->conversions).' conversions';
    }
}
