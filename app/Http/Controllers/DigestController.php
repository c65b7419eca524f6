<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Digest\SubscribeToDigest;
use App\Models\DigestSubscription;
use App\Models\Study;
use App\Models\User;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\URL;
use Illuminate\Support\Facades\Vite;

/** The digest by mail: on and off by its reader, off also by a link in the mail. */
final class DigestController extends Controller
{
    public function show(Request $request, Study $study, SubscribeToDigest $subscribe): JsonResponse
    {
        return self::state($subscribe->isOn($study, self::person($request)));
    }

    public function store(Request $request, Study $study, SubscribeToDigest $subscribe): JsonResponse
    {
        $subscribe->execute($study->load('comparison'), self::person($request));

        return self::state(true);
    }

    public function destroy(Request $request, Study $study, SubscribeToDigest $subscribe): JsonResponse
    {
        $subscribe->end($study, self::person($request));

        return self::state(false);
    }

    /** Only asks: programs that look into mails follow links (RFC 8058, section 3.1). */
    public function confirm(Request $request, int $subscription): Response
    {
        return self::page($request, DigestSubscription::query()->with('study')->find($subscription));
    }

    public function end(Request $request, int $subscription): Response
    {
        abort_unless(URL::hasCorrectSignature($request, false), 403);
        DigestSubscription::query()->whereKey($subscription)->delete();

        return self::page($request, null);
    }

    private static function page(Request $request, ?DigestSubscription $subscription): Response
    {
        abort_unless(URL::hasCorrectSignature($request, false), 403);

        return new Response(view('digest-end', [
            'study' => $subscription?->study?->name,
            'address' => $request->getRequestUri(),
            'nonce' => (string) Vite::cspNonce(),
        ])->render(), 200, ['Cache-Control' => 'no-store, private', 'Referrer-Policy' => 'no-referrer']);
    }

    private static function state(bool $isOn): JsonResponse
    {
        return new JsonResponse(['is_on' => $isOn, 'is_available' => SubscribeToDigest::isAvailable()]);
    }

    private static function person(Request $request): User
    {
        $user = $request->user();

        return $user instanceof User ? $user : throw new AuthenticationException();
    }
}
