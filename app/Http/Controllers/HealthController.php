<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Watch\HealthQuery;
use App\Actions\Watch\MetricsQuery;
use Illuminate\Auth\Access\AuthorizationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;

/** What watches this installation asks. */
final class HealthController extends Controller
{
    public const PATH = 'api/v1/health';

    private const UNAVAILABLE = 503;

    /** Everybody may ask; what is told says nothing of what is kept here. */
    public function show(HealthQuery $read): JsonResponse
    {
        $health = $read->execute();

        return new JsonResponse(
            [...$health, 'lanes' => (object) $health['lanes']],
            $health['status'] === HealthQuery::WELL ? Response::HTTP_OK : self::UNAVAILABLE,
        );
    }

    public function metrics(Request $request, MetricsQuery $read): Response
    {
        if ($request->user()?->is_administrator !== true) {
            throw new AuthorizationException();
        }

        return new Response($read->execute(), 200, ['Content-Type' => MetricsQuery::MIME]);
    }
}
