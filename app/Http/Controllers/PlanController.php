<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Documents\BriefHtml;
use App\Actions\Documents\BriefMarkdown;
use App\Actions\Documents\BriefOdt;
use App\Actions\Documents\ReviewDocument;
use App\Actions\Plans\AddToPlan;
use App\Actions\Plans\BriefQuery;
use App\Actions\Plans\ChangePlan;
use App\Actions\Plans\ChangesSinceQuery;
use App\Actions\Plans\OwnerCapacities;
use App\Actions\Plans\PlanQuery;
use App\Actions\Plans\PlanSchedule;
use App\Actions\Plans\ProposePlan;
use App\Actions\Plans\TrackQuery;
use App\Http\Requests\PlanAddRequest;
use App\Http\Requests\PlanDraftRequest;
use App\Http\Requests\PlanItemRequest;
use App\Http\Requests\PlanRequest;
use App\Jobs\PrepareBriefs;
use App\Models\PlanDraft;
use App\Models\PlanItem;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Vite;

final class PlanController extends Controller
{
    public function show(Request $request, Study $study, PlanQuery $read): JsonResponse
    {
        $request->validate(['without' => ['nullable', 'integer'], 'draft' => ['nullable', 'integer']]);

        return new JsonResponse(
            $read->execute($study->load('domains'), $request->integer('without') ?: null, self::draft($request, $study)),
        );
    }

    public function update(PlanRequest $request, Study $study, ChangePlan $change, PlanQuery $read): JsonResponse
    {
        $change->setFrame($study, ...$request->frame(PlanSchedule::agreed($study)));

        return new JsonResponse($read->execute($study->load('domains')));
    }

    /** How many days a month a person has; null counts them no more. */
    public function setOwner(Request $request, Study $study): JsonResponse
    {
        $request->validate([
            'owner' => ['required', 'string', 'max:100'],
            'days' => ['present', 'nullable', 'numeric', 'between:0,31'],
        ]);
        $owner = $request->string('owner')->value();
        OwnerCapacities::set($study, $owner, $request->input('days') === null ? null : $request->float('days'));

        return new JsonResponse(['owner' => $owner]);
    }

    /** Adds pages by their topics or by keywords of theirs, keywords by themselves, or the pages of the shortlist where none are named. */
    public function add(PlanAddRequest $request, Study $study, AddToPlan $add): JsonResponse
    {
        $added = $request->added($add, $study->load('domains'));
        PrepareBriefs::dispatchIf($added > 0, $study->id);

        return new JsonResponse(['added' => $added], 201);
    }

    public function change(PlanItemRequest $request, Study $study, int $item, ChangePlan $change): JsonResponse
    {
        $changed = $change->change(
            $study->load('domains'),
            $item,
            $request->changes(),
            $request->integer('version'),
            (int) $request->user()?->id,
        );

        return new JsonResponse(['id' => $changed->id, 'version' => $changed->version]);
    }

    public function remove(Study $study, int $item, ChangePlan $change): JsonResponse
    {
        $change->remove($study, $this->item($study, $item));

        return new JsonResponse(['gone' => $item]);
    }

    public function proposal(Request $request, Study $study, ProposePlan $propose): JsonResponse
    {
        $request->validate(['draft' => ['nullable', 'integer']]);

        return new JsonResponse($propose->execute($study->load('domains'), self::draft($request, $study)));
    }

    public function apply(Request $request, Study $study, ChangePlan $change): JsonResponse
    {
        $request->validate([
            'changes' => ['required', 'array', 'max:2000'],
            ...PlanDraftRequest::CHANGES,
        ]);
        $number = $change->apply(
            $study->load('domains'),
            PlanDraftRequest::itemsOf($request),
            PlanDraftRequest::pagesOf($request),
            (int) $request->user()?->id,
        );
        PrepareBriefs::dispatchIf(PlanDraftRequest::pagesOf($request) !== [], $study->id);

        return new JsonResponse(['change' => $number]);
    }

    public function undo(Request $request, Study $study, ChangePlan $change): JsonResponse
    {
        $request->validate(['change' => ['required', 'integer']]);
        $change->undo($study->load('domains'), $request->integer('change'), (int) $request->user()?->id);

        return new JsonResponse(['undone' => $request->integer('change')]);
    }

    public function brief(Study $study, int $item, BriefQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($study->load('domains'), $this->item($study, $item)));
    }

    /** `md`, `html` or `odt`; the HTML one is shown, the others are saved. */
    public function briefFile(Study $study, int $item, string $format, BriefQuery $read): Response
    {
        $found = $this->item($study, $item);
        $brief = $read->execute($study->load('domains'), $found);
        [$content, $type] = match ($format) {
            'html' => [BriefHtml::html($brief, (string) Vite::cspNonce()), 'text/html; charset=UTF-8'],
            'odt' => [BriefOdt::bytes($brief), BriefOdt::MIME],
            default => [BriefMarkdown::markdown($brief), 'text/markdown; charset=UTF-8'],
        };

        return new Response($content, 200, [
            'Content-Type' => $type,
            'Content-Disposition' =>
                ($format === 'html' ? 'inline' : 'attachment').'; filename="brief-'.$found->id.'.'.$format.'"',
        ]);
    }

    /** The month in review, to read, print or send. */
    public function review(Study $study, ReviewDocument $review): Response
    {
        return new Response($review->html($study->load('domains'), $this->shown($study), (string) Vite::cspNonce()), 200, [
            'Content-Type' => 'text/html; charset=UTF-8',
            'Content-Disposition' => 'inline; filename="'.$study->slug.'-review.html"',
        ]);
    }

    public function track(Study $study, TrackQuery $read, ChangesSinceQuery $since): JsonResponse
    {
        $track = $read->execute($study->load('domains'));

        return new JsonResponse([...$track, 'since' => $study->comparison === null ? null : $since->execute($study, $study->comparison)]);
    }

    /** The draft that is asked for; null for the agreed plan. */
    private static function draft(Request $request, Study $study): ?PlanDraft
    {
        return $request->integer('draft') === 0 ? null : $study->planDrafts()->findOrFail($request->integer('draft'));
    }

    private function item(Study $study, int $item): PlanItem
    {
        return PlanItem::query()->where('study_id', $study->id)->where('id', $item)->firstOrFail();
    }
}
