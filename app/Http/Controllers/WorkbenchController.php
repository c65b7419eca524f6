<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

/** The one page that the front end lives in. */
final class WorkbenchController
{
    public function show(): Response
    {
        return response()->view('workbench');
    }
}
