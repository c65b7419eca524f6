<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Studies\ListStudies;
use App\Actions\Studies\ReadStudyPaths;
use App\Actions\Studies\SaveStudy;
use App\Exceptions\Refused;
use App\Http\Requests\StudyListRequest;
use App\Http\Requests\StudyRequest;
use App\Http\Resources\StudyResource;
use App\Models\Study;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class StudyController extends Controller
{
    public function __construct(private readonly ReadStudyPaths $paths)
    {
    }

    public function index(StudyListRequest $request, ListStudies $list): JsonResponse
    {
        $page = $list->execute($request->person(), $request->wanted(), $request->group(), $request->cursor(), $request->limit());
        $paths = $this->paths->execute($page['studies'], $request->person());

        return new JsonResponse([
            'studies' => array_map(
                static fn(Study $study): StudyResource => new StudyResource($study, $paths[$study->id]),
                $page['studies'],
            ),
            'next' => $page['next'],
        ]);
    }

    public function show(Request $request, Study $study): StudyResource
    {
        return $this->resource($study->load(['domains', 'comparison']), $request);
    }

    public function store(StudyRequest $request, SaveStudy $save): JsonResponse
    {
        $draft = $request->toDraft();
        if (Study::query()->where('slug', $draft->slug)->exists()) {
            throw Refused::because('slug', 'There is a study with this short name already.');
        }
        $study = $save->execute($draft);
        $study->members()->attach($request->user()?->id, ['role' => 'editor']);

        return $this->resource($study->load('comparison'), $request)->response()->setStatusCode(201);
    }

    public function update(StudyRequest $request, Study $study, SaveStudy $save): StudyResource
    {
        return $this->resource($save->execute($request->toDraft($study->load('domains')))->load('comparison'), $request);
    }

    private function resource(Study $study, Request $request): StudyResource
    {
        /** @var User $user */
        $user = $request->user();

        return new StudyResource($study, $this->paths->execute([$study], $user)[$study->id]);
    }
}
