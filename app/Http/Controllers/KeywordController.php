<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Bench\KeywordQuery;
use App\Exceptions\MissingRecord;
use App\Models\Study;
use GreaterReach\Core\Exception\InvalidValue;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class KeywordController extends Controller
{
    private const MISSING = '"%s" is not in this study: no domain ranks for it and no keyword list has it.';

    public function show(Request $request, Study $study, KeywordQuery $read): JsonResponse
    {
        $keyword = $request->string('keyword')->value();

        $found = $read->execute($this->shown($study), $keyword, $this->weights($request, $study->rulebook()));

        return new JsonResponse($found ?? throw new MissingRecord(sprintf(self::MISSING, InvalidValue::quote($keyword))));
    }
}
