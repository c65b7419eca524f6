<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Exports\ExportBench;
use App\Models\Study;
use App\Support\Tabular\TableFormat;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Symfony\Component\HttpFoundation\StreamedResponse;

final class ExportController extends Controller
{
    /** `compare.csv`, `weigh.json` …, narrowed by the sentence; CSV guards cells that a spreadsheet would run, unless guard=0. */
    public function show(Request $request, Study $study, string $export, ExportBench $bench): StreamedResponse
    {
        if (preg_match('/^(compare|weigh|topics)\.(csv|json)$/D', $export, $part) !== 1) {
            abort(404);
        }
        $format = TableFormat::from($part[2]);
        $weights = $request->filled('weights') ? Weights::parse($request->string('weights')->value()) : Weights::of($study->rulebook()->weights());
        $table = $bench->execute($part[1], $this->shown($study), $this->sentence($request), $weights, $study->rulebook()->int('min_fit'));
        $isGuarded = $request->boolean('guard', true);

        return response()->streamDownload(static function () use ($format, $table, $isGuarded): void {
            DB::transaction(static function () use ($format, $table, $isGuarded): void {
                foreach ($format->write($table, $isGuarded) as $piece) {
                    echo $piece;
                }
            });
        }, $study->slug.'-'.$export, ['Content-Type' => $format->mime()]);
    }
}
