<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Competitors\FindCompetitors;
use App\Actions\Studies\AddDomains;
use App\Actions\Studies\ChangeDomain;
use App\Actions\Studies\LedgerQuery;
use App\Http\Requests\DomainsRequest;
use App\Http\Requests\FindCompetitorsRequest;
use App\Jobs\RefreshComparison;
use App\Models\Domain;
use App\Models\Study;
use App\Support\Texts;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class DomainController extends Controller
{
    public function index(Study $study, LedgerQuery $ledger): JsonResponse
    {
        return new JsonResponse($ledger->execute($study->load(['domains', 'comparison'])));
    }

    public function store(DomainsRequest $request, Study $study, AddDomains $add): JsonResponse
    {
        return new JsonResponse(['added' => $add->execute($study->load('domains'), $request->lines(), $request->source())], 201);
    }

    public function update(Request $request, Study $study, int $domain, ChangeDomain $change): JsonResponse
    {
        $request->validate(['brand_terms' => ['present', 'array', 'max:50'], 'brand_terms.*' => ['string', 'max:200']]);
        $change->setBrandTerms(
            $study,
            $this->domain($study, $domain),
            Texts::list($request->array('brand_terms')),
        );
        RefreshComparison::dispatch($study->id);

        return new JsonResponse(['brand_terms' => $this->domain($study, $domain)->brand_terms]);
    }

    public function destroy(Study $study, int $domain, ChangeDomain $change): JsonResponse
    {
        $change->throwAway($this->domain($study, $domain));

        return new JsonResponse(['gone' => $domain]);
    }

    public function candidates(FindCompetitorsRequest $request, Study $study, FindCompetitors $find): JsonResponse
    {
        return new JsonResponse(
            $find->execute($study->load('domains'), $request->source(), $request->boolean('further'), $request->keywords()),
        );
    }

    private function domain(Study $study, int $domain): Domain
    {
        return Domain::query()->where('study_id', $study->id)->where('id', $domain)->firstOrFail();
    }
}
