<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\ReadKeyword;
use App\Models\Study;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class KeywordController extends Controller
{
    public function show(Request $request, Study $study, ReadKeyword $read): JsonResponse
    {
        $keyword = $request->string('keyword')->value();

        return new JsonResponse($read->execute($this->shown($study), $keyword, $this->weights($request, $study)) ?? abort(404));
    }
}
