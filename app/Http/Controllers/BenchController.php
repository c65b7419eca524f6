<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\BenchQuery;
use App\Actions\Bench\BenchSummaryQuery;
use App\Actions\Bench\ClauseCountsQuery;
use App\Actions\Bench\DistributionQuery;
use App\Models\Study;
use App\Support\Rows\CachedPage;
use App\Support\Rows\LongList;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class BenchController extends Controller
{
    public function index(Request $request, Study $study, BenchQuery $read): JsonResponse
    {
        $limit = min(BenchQuery::MOST_ROWS, max(1, $request->integer('limit', 200)));
        [$comparison, $sentence] = [$this->shown($study), $this->sentence($request)];
        $sort = $request->string('sort', 'volume')->value();
        $descending = $request->string('dir', 'desc')->value() !== 'asc';
        $cursor = $request->filled('cursor') ? $request->string('cursor')->value() : null;

        return JsonResponse::fromJsonString(CachedPage::of(
            $comparison,
            'compare',
            [(string) $sentence, $sort, $descending, $cursor, $limit],
            static fn(): array => $read->execute($comparison, $sentence, $sort, $descending, $cursor, $limit),
        ));
    }

    public function summary(Request $request, Study $study, BenchSummaryQuery $summarise): JsonResponse
    {
        [$comparison, $sentence, $steps] = [$this->shown($study), $this->sentence($request), $request->boolean('steps')];

        return JsonResponse::fromJsonString(CachedPage::of(
            $comparison,
            'summary',
            [(string) $sentence, $steps],
            static fn(): array => $summarise->execute($comparison, $sentence, $steps),
        ));
    }

    /** What each clause leaves of one of the three long lists. */
    public function steps(Request $request, Study $study, ClauseCountsQuery $read): JsonResponse
    {
        $request->validate(['list' => ['nullable', LongList::rule()]]);
        $list = LongList::tryFrom($request->string('list')->value()) ?? LongList::Compare;

        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), $list, $study->rulebook()->fitGate()));
    }

    public function distribution(Request $request, Study $study, DistributionQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), $request->string('field')->value()));
    }
}
