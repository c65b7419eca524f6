<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\PasswordLinks;
use App\Actions\People\PasswordRule;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

/** For who was invited, or has forgotten the password: a link by which a password is chosen once. */
final class WelcomeController extends Controller
{
    public function show(Request $request, PasswordLinks $links): JsonResponse
    {
        $user = $links->person(self::link($request));

        return new JsonResponse(['name' => $user->name, 'email' => $user->email]);
    }

    public function store(Request $request, PasswordLinks $links): JsonResponse
    {
        $link = self::link($request);
        $request->validate(['new_password' => ['required', 'string', PasswordRule::for($links->person($link))]]);
        $user = $links->take($link, $request->string('new_password')->value());

        return new JsonResponse(['name' => $user->name, 'email' => $user->email]);
    }

    private static function link(Request $request): string
    {
        $request->validate(['link' => ['required', 'string', 'max:100']]);

        return $request->string('link')->value();
    }
}
