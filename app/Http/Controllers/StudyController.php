<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Studies\CreateStudy;
use App\Actions\Studies\DeletedStudiesQuery;
use App\Actions\Studies\DeleteStudy;
use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudiesQuery;
use App\Actions\Studies\StudyPathsQuery;
use App\Exceptions\UserError;
use App\Http\Requests\StudyListRequest;
use App\Http\Requests\StudyRequest;
use App\Http\Resources\StudyResource;
use App\Models\Study;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

final class StudyController extends Controller
{
    public function __construct(private readonly StudyPathsQuery $paths)
    {
    }

    public function index(StudyListRequest $request, StudiesQuery $list): JsonResponse
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

    public function store(StudyRequest $request, CreateStudy $make): JsonResponse
    {
        if (! $request->person()->maySetUpStudies()) {
            throw new AccessDeniedHttpException('Ask an administrator for the right to create studies.');
        }
        $study = $make->execute($request->toDraft(), $request->person());

        return $this->resource($study->load('comparison'), $request)->response()->setStatusCode(201);
    }

    public function update(StudyRequest $request, Study $study, SaveStudy $save): StudyResource
    {
        $saved = $save->execute($request->toDraft($study->load('domains')));

        return $this->resource($saved->study->load('comparison'), $request, $saved->notes);
    }

    /** @throws UserError where the name is not that of the study */
    public function destroy(Request $request, Study $study, DeleteStudy $delete): JsonResponse
    {
        $request->validate(['name' => ['required', 'string', 'max:200']]);
        $by = $request->user();
        $gone = $delete->execute($study, $request->string('name')->value(), $by instanceof User ? $by : null);

        return new JsonResponse(['slug' => $study->slug, 'gone_at' => $gone->toIso8601ZuluString()]);
    }

    public function deleted(Request $request, DeletedStudiesQuery $list): JsonResponse
    {
        /** @var User $user */
        $user = $request->user();

        return new JsonResponse($list->execute($user));
    }

    public function restore(Request $request, string $slug, DeleteStudy $delete): StudyResource
    {
        $study = Study::onlyTrashed()->where('slug', $slug)->firstOrFail();
        Gate::authorize('view', $study);
        Gate::authorize('update', $study);
        $delete->restore($study);

        return $this->resource($study->load(['domains', 'comparison']), $request);
    }

    /** @param list<string> $notes */
    private function resource(Study $study, Request $request, array $notes = []): StudyResource
    {
        /** @var User $user */
        $user = $request->user();

        return new StudyResource($study, $this->paths->execute([$study], $user)[$study->id], $notes);
    }
}
