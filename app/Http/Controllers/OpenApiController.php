<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use Illuminate\Http\Response;

final class OpenApiController
{
    public function show(): Response
    {
        return response((string) file_get_contents(resource_path('api/openapi.json')), 200, ['Content-Type' => 'application/json']);
    }
}
