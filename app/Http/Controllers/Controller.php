<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\UserError;
use App\Models\Comparison;
use App\Models\Study;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Weights;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Http\Request;

/** What controllers share: the comparison that is on show, and the sentence of a request. */
abstract class Controller
{
    protected function shown(Study $study): Comparison
    {
        return $study->comparison ?? throw UserError::because('comparison', 'Nothing has been compared yet. Import rankings first.');
    }

    protected function sentence(Request $request): Sentence
    {
        return Sentence::parse($request->string('show')->value());
    }

    /** The weights asked for, or the rulebook's. */
    protected function weights(Request $request, Rulebook $rulebook): Weights
    {
        return $request->filled('weights') ? Weights::parse($request->string('weights')->value()) : $rulebook->priorities();
    }
}
