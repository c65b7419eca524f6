<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Exports\ExportBench;
use App\Actions\Exports\PlanCalendar;
use App\Actions\Exports\RedirectsExport;
use App\Actions\Exports\RoadmapExport;
use App\Actions\Plans\PlanOpportunities;
use App\Http\Requests\PlanRequest;
use App\Http\Responses\TableDownload;
use App\Models\Study;
use Illuminate\Http\Request;
use Symfony\Component\HttpFoundation\Response;

final class ExportController extends Controller
{
    /**
     * `compare.csv`, `weigh.json`, `topics.xlsx`, `model.csv` …, narrowed by the sentence; CSV guards cells that a spreadsheet would run,
     * unless
     * guard=0.
     */
    public function show(Request $request, Study $study, string $export, ExportBench $bench): Response
    {
        if (preg_match('/^(compare|weigh|topics|model)\.(csv|json|xlsx)$/D', $export, $part) !== 1) {
            abort(404);
        }
        $request->validate(['by' => ['sometimes', 'in:keyword,topic']]);
        $weights = $this->weights($request, $study->rulebook());
        $kind = $part[1] === 'weigh' && $request->string('by')->value() === 'topic' ? 'weigh by topic' : $part[1];
        $table = $bench->execute($kind, $this->shown($study), $this->sentence($request), $weights, $study->rulebook()->fitGate());

        return TableDownload::of($table, $part[2], $study->slug.'-'.$export, $request->boolean('guard', true));
    }

    /** `csv`, `json`, `xlsx` or `ics`: what the plan command proposes, as a file or as a calendar. */
    public function plan(PlanRequest $request, Study $study, string $format, PlanOpportunities $make): Response
    {
        $plan = $request->proposed($make, $study->load('domains'), $this->shown($study));
        if ($format === 'ics') {
            return response((string) PlanCalendar::of($study, $plan->rows, now('UTC')->toDateTimeImmutable()), 200, [
                'Content-Type' => 'text/calendar; charset=UTF-8',
                'Content-Disposition' => 'attachment; filename="'.$study->slug.'-plan.ics"',
            ]);
        }

        return TableDownload::of(
            $plan->table(),
            $format,
            $study->slug.'-plan.'.$format,
            $request->boolean('guard', true),
        );
    }

    /** The roadmap as it stands: `csv`, `json`, `xlsx`, or `ics` with a day for every item that has a month. */
    public function roadmap(Request $request, Study $study, string $format, RoadmapExport $export): Response
    {
        if ($format === 'ics') {
            return response(
                (string) PlanCalendar::of($study, $export->planned($study->load('domains')), now('UTC')->toDateTimeImmutable()),
                200,
                [
                    'Content-Type' => 'text/calendar; charset=UTF-8',
                    'Content-Disposition' => 'attachment; filename="'.$study->slug.'-roadmap.ics"',
                ],
            );
        }

        return TableDownload::of(
            $export->table($study->load('domains')),
            $format,
            $study->slug.'-roadmap.'.$format,
            $request->boolean('guard', true),
        );
    }

    /** The redirects needed for the merges on the roadmap. */
    public function redirects(Request $request, Study $study, string $format, RedirectsExport $export): Response
    {
        return TableDownload::of(
            $export->table($study->load('domains')),
            $format,
            $study->slug.'-redirects.'.$format,
            $request->boolean('guard', true),
        );
    }
}
