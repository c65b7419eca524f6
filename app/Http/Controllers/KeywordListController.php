<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Keywords\AddKeywords;
use App\Actions\Keywords\FindTerms;
use App\Http\Requests\KeywordsRequest;
use App\Http\Requests\TermsRequest;
use App\Jobs\RefreshComparison;
use App\Models\Study;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\Sources;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** The words that we bring ourselves: pasted, found in a text, or proposed by a source. */
final class KeywordListController extends Controller
{
    public function store(KeywordsRequest $request, Study $study, AddKeywords $add): JsonResponse
    {
        $outcome = $add->execute($study, $request->lines(), $request->origin(), $request->source(), $request->user()?->id);
        RefreshComparison::dispatch($study->id);

        return new JsonResponse($outcome, 201);
    }

    public function terms(TermsRequest $request, Study $study, FindTerms $find): JsonResponse
    {
        $url = $request->string('url')->trim()->value();

        return new JsonResponse($url === ''
            ? $find->inText($study, $request->string('text')->value(), $request->options())
            : $find->inPage($study, $url, $request->string('source')->value(), $request->options()));
    }

    public function related(Request $request, Study $study, Sources $sources): JsonResponse
    {
        $request->validate(['keyword' => ['required', 'string', 'max:400'], 'source' => ['required', 'string', 'max:60']]);

        return new JsonResponse(
            $sources
                ->get($request->string('source')->value())
                ->related(SourceMarket::of($study), mb_strtolower($request->string('keyword')->trim()->value())),
        );
    }
}
