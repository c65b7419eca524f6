<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Documents\BriefHtml;
use App\Actions\Plans\BriefQuery;
use App\Actions\Plans\SubmitBriefAnswer;
use App\Exceptions\UserError;
use App\Models\BriefLink;
use App\Models\PlanItem;
use App\Models\Study;
use GreaterReach\Core\Plan\ItemStatus;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Vite;
use Illuminate\Validation\Rule;

/** One brief, for a writer who has a link and no account. */
final class SharedBriefController extends Controller
{
    private const LONGEST_NOTE = 5000;

    public function show(Request $request, int $link, BriefQuery $read): Response
    {
        return $this->opened(
            $request,
            $link,
            fn(PlanItem $item, Study $study): Response => $this->brief($request, $study, $item, $read, null),
        );
    }

    public function answer(Request $request, int $link, BriefQuery $read, SubmitBriefAnswer $hear): Response
    {
        return $this->opened($request, $link, function (PlanItem $item, Study $study) use ($request, $read, $hear): Response {
            $said = validator($request->only(['status', 'url', 'note']), [
                'status' => ['required', Rule::in(array_column(SubmitBriefAnswer::STATUSES, 'value'))],
                'url' => ['nullable', 'string', 'max:2000'],
                'note' => ['nullable', 'string', 'max:'.self::LONGEST_NOTE],
            ]);
            $problem = $said->fails() ? $said->errors()->first() : self::hear($request, $study, $item, $hear);

            $answer = $problem ?? 'Thank you. We saved your answer.';

            return $this->brief($request, $study, $item->refresh(), $read, $answer, $problem !== null);
        });
    }

    /** @return ?string why it was refused */
    private static function hear(Request $request, Study $study, PlanItem $item, SubmitBriefAnswer $hear): ?string
    {
        $text = static fn(string $field): ?string => $request->string($field)->trim()->value() ?: null;
        try {
            $hear->execute($study, $item, ItemStatus::from($request->string('status')->value()), $text('url'), $text('note'));
        } catch (UserError $refused) {
            return $refused->getMessage();
        }

        return null;
    }

    /** @param \Closure(PlanItem, Study): Response $show */
    private function opened(Request $request, int $id, \Closure $show): Response
    {
        $link = BriefLink::query()->find($id);
        // Its end is looked at below, so that it can be told.
        if ($link === null || ! URL::hasCorrectSignature($request, false)) {
            return self::closed('This link is incomplete. It may have been cut when it was copied.', 403);
        }
        $closed = $link->closedBecause();
        if ($closed !== null) {
            return self::closed($closed.' Ask the sender for a new link.', 410);
        }
        $link->update(['used_at' => now()]);
        $item = PlanItem::query()->findOrFail($link->plan_item_id);

        return $show($item, Study::query()->with('domains')->findOrFail($item->study_id));
    }

    private function brief(
        Request $request,
        Study $study,
        PlanItem $item,
        BriefQuery $read,
        ?string $told,
        bool $isRefused = false,
    ): Response {
        $html = BriefHtml::forWriter($read->execute($study, $item), (string) Vite::cspNonce(), [
            'address' => $request->getRequestUri(),
            'told' => $told,
            'is_refused' => $isRefused,
            'is_open' => ItemStatus::from($item->status)->isOpen(),
            'status' => $isRefused ? $request->string('status')->value() : $item->status,
            'url' => $isRefused ? $request->string('url')->value() : (string) $item->published_url,
            'note' => $isRefused ? $request->string('note')->value() : (string) $item->writer_note,
        ]);

        return self::kept(new Response($html, $isRefused ? 422 : 200));
    }

    private static function closed(string $why, int $status): Response
    {
        return self::kept(new Response(view('closed', ['why' => $why, 'nonce' => (string) Vite::cspNonce()])->render(), $status));
    }

    /** The address is a secret: it goes to no other site, no cache and no list of search results. */
    private static function kept(Response $response): Response
    {
        $response->headers->set('Content-Type', 'text/html; charset=UTF-8');
        $response->headers->set('Cache-Control', 'no-store, private');
        $response->headers->set('Referrer-Policy', 'no-referrer');
        $response->headers->set('X-Robots-Tag', 'noindex, nofollow');

        return $response;
    }
}
