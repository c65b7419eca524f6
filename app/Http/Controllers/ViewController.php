<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\AdvertisingQuery;
use App\Actions\Bench\FindNoise;
use App\Actions\Bench\MovementQuery;
use App\Actions\Bench\OwnPagesQuery;
use App\Actions\Bench\PageOneQuery;
use App\Actions\Bench\PagesQuery;
use App\Actions\Site\SitePagesQuery;
use App\Models\Domain;
use App\Models\Snapshot;
use App\Models\Study;
use GreaterReach\Core\Comparison\Movement;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Validation\Rule;

/** The other views of the bench: pages, movement, page one for all, organic beside paid, and the noise that could go. */
final class ViewController extends Controller
{
    public function pages(Request $request, Study $study, PagesQuery $read): JsonResponse
    {
        $request->validate(['domain' => ['nullable', 'integer', 'between:0,10']]);

        return new JsonResponse(
            $read->execute(
                $this->shown($study),
                $this->sentence($request),
                $request->filled('domain') ? $request->integer('domain') : null,
                ...self::order($request),
            ),
        );
    }

    public function ours(Request $request, Study $study, OwnPagesQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($study->load('domains'), $this->shown($study), $this->sentence($request)));
    }

    public function movement(Request $request, Study $study, MovementQuery $read): JsonResponse
    {
        $request->validate([
            'domain' => ['required', 'integer'],
            'from' => ['nullable', 'date_format:Y-m-d'],
            'to' => ['nullable', 'date_format:Y-m-d'],
            'channel' => ['nullable', 'in:organic,paid'],
            'only' => ['nullable', Rule::enum(Movement::class)],
        ]);
        $domain = Domain::query()->where('study_id', $study->id)->where('id', $request->integer('domain'))->firstOrFail();

        return new JsonResponse(
            $read->execute(
                $study,
                $domain,
                $request->string('channel')->value() ?: Snapshot::ORGANIC,
                $request->string('from')->value() ?: null,
                $request->string('to')->value() ?: null,
                $request->enum('only', Movement::class),
                ...self::order($request),
            ),
        );
    }

    public function pageOne(Request $request, Study $study, PageOneQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), ...self::order($request)));
    }

    public function advertising(Request $request, Study $study, AdvertisingQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute($this->shown($study), $this->sentence($request), ...self::order($request)));
    }

    public function noise(Request $request, Study $study, FindNoise $find): JsonResponse
    {
        return new JsonResponse($find->execute($this->shown($study), $this->sentence($request)));
    }

    /** @return array{sort?: string, isDescending: bool} */
    private static function order(Request $request): array
    {
        return [
            ...$request->filled('sort') ? ['sort' => $request->string('sort')->value()] : [],
            'isDescending' => $request->string('dir')->value() !== 'asc',
        ];
    }

    /** Our pages that search engines do not show. */
    public function troubledPages(Study $study, SitePagesQuery $pages): JsonResponse
    {
        return new JsonResponse(['pages' => $pages->troubled($study)]);
    }
}
