<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Study;
use App\Support\Sentence\ReadyLenses;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class LensController extends Controller
{
    public function index(Study $study): JsonResponse
    {
        $own = $study
            ->lenses()
            ->orderBy('name')
            ->get(['id', 'name', 'show'])
            ->all();

        return new JsonResponse([
            'own' => $own,
            'ready' => $study->comparison === null ? [] : ReadyLenses::of($study->comparison, $study->rulebook()->float('peer_band')),
        ]);
    }

    /** A lens of the same name is replaced. */
    public function store(Request $request, Study $study): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:80'], 'show' => ['present', 'nullable', 'string', 'max:4000']]);
        $this->sentence($request);
        $lens = $study
            ->lenses()
            ->updateOrCreate(
                ['name' => $request->string('name')->trim()->value()],
                ['show' => $request->string('show')->value(), 'user_id' => $request->user()?->id],
            );

        return new JsonResponse($lens->only(['id', 'name', 'show']), 201);
    }

    public function destroy(Study $study, int $lens): JsonResponse
    {
        $study->lenses()->findOrFail($lens)->delete();

        return new JsonResponse(['gone' => $lens]);
    }
}
