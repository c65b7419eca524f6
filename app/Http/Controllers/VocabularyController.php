<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Vocabulary\VocabularyQuery;
use Illuminate\Http\JsonResponse;

final class VocabularyController extends Controller
{
    /** What sentences, columns and weights are called and what they mean: the same for every study. */
    public function show(VocabularyQuery $read): JsonResponse
    {
        return new JsonResponse($read->execute());
    }
}
