<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\Annotation;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** Dated notes on a study, such as a relaunch. */
final class AnnotationController extends Controller
{
    private const LONGEST = 200;

    public function index(Study $study): JsonResponse
    {
        $notes = Annotation::query()->where('study_id', $study->id)->orderBy('day')->orderBy('id')->get();

        return new JsonResponse(['annotations' => $notes->map(self::described(...))->all()]);
    }

    public function store(Request $request, Study $study): JsonResponse
    {
        $request->validate([
            'day' => ['required', 'date_format:Y-m-d'],
            'text' => ['required', 'string', 'max:'.self::LONGEST],
        ]);
        $note = Annotation::query()->create([
            'study_id' => $study->id,
            'user_id' => $request->user()?->id,
            'day' => $request->string('day')->value(),
            'text' => $request->string('text')->value(),
        ]);

        return new JsonResponse(self::described($note), 201);
    }

    public function destroy(Study $study, int $annotation): JsonResponse
    {
        Annotation::query()->where('study_id', $study->id)->where('id', $annotation)->firstOrFail()->delete();

        return new JsonResponse(['gone' => $annotation]);
    }

    /** @return array{id: int, day: string, text: string} */
    private static function described(Annotation $note): array
    {
        return ['id' => $note->id, 'day' => $note->day->toDateString(), 'text' => $note->text];
    }
}
