<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\BenchQuery;
use App\Actions\Bench\GroupsQuery;
use App\Actions\Bench\HiddenCountsQuery;
use App\Actions\Bench\MapQuery;
use App\Actions\Bench\OpportunitiesQuery;
use App\Actions\Bench\RankedList;
use App\Actions\Bench\SteadinessQuery;
use App\Actions\Bench\TopicsQuery;
use App\Actions\Tasks\StartSteadinessTask;
use App\Http\Resources\TaskResource;
use App\Models\Study;
use App\Models\TaskStatus;
use App\Support\Rows\CachedPage;
use App\Support\Rows\PrioritySql;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class OpportunityController extends Controller
{
    public function index(Request $request, Study $study, OpportunitiesQuery $read): JsonResponse
    {
        return $this->ranked($request, $study, 'weigh', $read);
    }

    /** The same list by topic: the pages to make or to improve. */
    public function topics(Request $request, Study $study, TopicsQuery $read): JsonResponse
    {
        return $this->ranked($request, $study, 'pages', $read);
    }

    /** A page of a ranked list with the weights that ranked it: from memory, unless they are someone's own. */
    private function ranked(Request $request, Study $study, string $list, RankedList $read): JsonResponse
    {
        $rulebook = $study->rulebook();
        [$comparison, $sentence, $weights] = [$this->shown($study), $this->sentence($request), $this->weights($request, $rulebook)];
        $sort = $request->string('sort')->value() ?: RankedList::BY_PRIORITY;
        $falls = $request->string('dir')->value() !== 'asc';
        $from = max(0, $request->integer('cursor'));
        $limit = min(BenchQuery::MOST_ROWS, max(1, $request->integer('limit', 200)));
        $page = static fn(): array => [
            ...$read->execute($comparison, $sentence, $weights, $rulebook->fitGate(), $from, $limit, $sort, $falls),
            ...self::told($weights),
        ];

        return $request->filled('weights')
            ? new JsonResponse($page())
            : JsonResponse::fromJsonString(
                CachedPage::of($comparison, $list, [(string) $sentence, $from, $limit, $sort, $falls], $page),
            );
    }

    /** @return array{weights: array<string, float>, presets: array<string, array<string, float>>} */
    private static function told(Weights $weights): array
    {
        return [
            'weights' => $weights->toArray(),
            'presets' => array_map(static fn(array $preset): array => Weights::of($preset)->toArray(), Weights::PRESETS),
        ];
    }

    /** What the list leaves out, and why. */
    public function hidden(Request $request, Study $study, HiddenCountsQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), $study->rulebook()->fitGate()));
    }

    public function groups(Request $request, Study $study, GroupsQuery $read): JsonResponse
    {
        return new JsonResponse(
            $read->execute(
                $this->shown($study),
                $this->sentence($request),
                $study->rulebook()->fitGate(),
                $request->string('by')->value() ?: 'topic',
            ),
        );
    }

    public function map(Request $request, Study $study, MapQuery $read): JsonResponse
    {
        $request->validate(['by' => ['nullable', 'in:keyword,topic']]);

        return new JsonResponse(
            $read->execute(
                $this->shown($study),
                $this->sentence($request),
                $study->rulebook()->fitGate(),
                $request->string('by')->value() === 'topic',
                PrioritySql::expression($this->weights($request, $study->rulebook())),
                $study->rulebook()->int('target'),
            ),
        );
    }

    /** At once, or for a long list 202 with the task that reckons it. */
    public function steadiness(Request $request, Study $study, SteadinessQuery $read, StartSteadinessTask $await): JsonResponse
    {
        [$comparison, $sentence] = [$this->shown($study), $this->sentence($request)];
        $weights = $this->weights($request, $study->rulebook());
        $request->validate(['by' => ['nullable', 'in:keyword,topic']]);
        $isByTopic = $request->string('by')->value() === 'topic';
        $task = $await->execute($study, $comparison, $sentence, $weights, $isByTopic, $request->user()?->id);

        return match (true) {
            $task === null => new JsonResponse($read->execute($comparison, $sentence, $study->rulebook(), $weights, $isByTopic)),
            $task->status === TaskStatus::Done => new JsonResponse($task->result['steadiness'] ?? null),
            default => TaskResource::accepted($task),
        };
    }
}
