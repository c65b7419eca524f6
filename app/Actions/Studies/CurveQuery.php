<?php

declare(strict_types=1);

namespace App\Actions\Studies;

use App\Actions\Comparisons\KeywordStreams;
use App\Actions\Comparisons\LearnModels;
use App\Models\Study;
use GreaterReach\Core\Clicks\CtrCurve;
use Illuminate\Support\Facades\DB;

/** Our own clicks by position, and the curve fitted to them beside the others. */
final readonly class CurveQuery
{
    /** Positions that are drawn. */
    private const SHOWN = 20;

    public function __construct(private LearnModels $models)
    {
    }

    /** @return array<string, mixed> */
    public function execute(Study $study): array
    {
        $rulebook = $study->rulebook();
        $brands = $this->models->brands($study->comparedDomains());
        $facts = new KeywordStreams($study->id);

        return DB::transaction(function () use ($rulebook, $brands, $facts): array {
            $fit = $this->models->fit($rulebook, $facts, $brands);
            $own = $rulebook->numbers('curve_own');

            return [
                'in_use' => $rulebook->text('curve'),
                'bins' => array_map(
                    static fn(int $position, array $bin): array => [
                        'position' => $position,
                        ...$bin,
                        'rate' => $bin['impressions'] === 0 ? null : $bin['clicks'] / $bin['impressions'],
                    ],
                    array_keys($fit->bins()),
                    $fit->bins(),
                ),
                'curves' => array_map(
                    static fn(CtrCurve $curve): array => \array_slice($curve->rates(), 0, self::SHOWN),
                    array_filter([
                        'default' => CtrCurve::default(),
                        '2006' => CtrCurve::queryLog2006(),
                        'fitted' => $fit->curve(),
                        'own' => $own === [] ? null : CtrCurve::ofRates($own),
                    ]),
                ),
            ];
        });
    }
}
