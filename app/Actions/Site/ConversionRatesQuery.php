<?php

declare(strict_types=1);

namespace App\Actions\Site;

use App\Models\Study;
use App\Support\Database\Figures;
use GreaterReach\Core\Clicks\ConversionRate;
use GreaterReach\Core\Clicks\ConversionRates;
use GreaterReach\Core\Clicks\MeasuredConversions;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;

/** Conversions by landing page in the newest performance import that has any. */
final readonly class ConversionRatesQuery
{
    private function __construct(private ConversionRates $rates, private Rulebook $rulebook)
    {
    }

    public static function of(Study $study): self
    {
        /** @var list<object{page: ?string, clicks: int, conversions: int, revenue: ?string}> $rows */
        $rows = DB::select(<<<'SQL'
            SELECT page, sum(clicks)::bigint AS clicks, sum(conversions)::bigint AS conversions, sum(revenue) AS revenue
            FROM performance WHERE study_id = ? AND conversions IS NOT NULL AND import_id = (
                SELECT max(p.import_id) FROM live_performance p WHERE p.study_id = ? AND p.conversions IS NOT NULL
            )
            GROUP BY GROUPING SETS ((page), ()) HAVING sum(conversions) >= ?
            ORDER BY grouping(page)
            SQL, [$study->id, $study->id, MeasuredConversions::ENOUGH]);
        $pages = [];
        $site = null;
        foreach ($rows as $row) {
            $measured = new MeasuredConversions($row->clicks, $row->conversions, Figures::float($row->revenue));
            // The last row is the sum of all.
            $site = $measured;
            if ($row->page !== null) {
                $pages[$row->page] = $measured;
            }
        }

        return new self(new ConversionRates($pages, $site), $study->rulebook());
    }

    /** @param ?string $page URL key of our page */
    public function at(?string $page, ?Intent $intent): ConversionRate
    {
        return $this->rates->at(
            $page,
            $this->rulebook->conversionRateOf($intent),
            $this->rulebook->float('conversion_rate'),
            $this->rulebook->optionalFloat('value_per_conversion'),
        );
    }
}
