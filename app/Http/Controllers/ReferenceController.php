<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Documents\ApiReference;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Vite;

/** The API as a page to be read, made from its document. */
final class ReferenceController
{
    public function show(): Response
    {
        return response()->view('reference', ['reference' => ApiReference::shipped(), 'nonce' => Vite::cspNonce()]);
    }
}
