<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Studies\SaveStudy;
use App\Exceptions\Refused;
use App\Http\Requests\StudyRequest;
use App\Http\Resources\StudyResource;
use App\Models\Study;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\AnonymousResourceCollection;

final class StudyController extends Controller
{
    public function index(Request $request): AnonymousResourceCollection
    {
        /** @var User $user */
        $user = $request->user();

        return StudyResource::collection(Study::visibleTo($user)->with(['domains', 'comparison'])->orderBy('name')->limit(200)->get());
    }

    public function show(Study $study): StudyResource
    {
        return new StudyResource($study->load(['domains', 'comparison']));
    }

    public function store(StudyRequest $request, SaveStudy $save): JsonResponse
    {
        $draft = $request->toDraft();
        if (Study::query()->where('slug', $draft->slug)->exists()) {
            throw Refused::because('slug', 'There is a study with this short name already.');
        }
        $study = $save->execute($draft);
        $study->members()->attach($request->user()?->id, ['role' => 'editor']);

        return (new StudyResource($study->load('comparison')))->response()->setStatusCode(201);
    }

    public function update(StudyRequest $request, Study $study, SaveStudy $save): StudyResource
    {
        return new StudyResource($save->execute($request->toDraft($study->load('domains')))->load('comparison'));
    }
}
