<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\People\AccountChanges;
use App\Actions\People\PasswordLinks;
use App\Actions\People\PeopleQuery;
use App\Actions\People\SavePerson;
use App\Actions\People\SecondFactor;
use App\Http\Middleware\TokenAbilities;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\AccessDeniedHttpException;

/** Accounts, for administrators who are signed in; a token manages no one. */
final class PersonController extends Controller
{
    public function __construct(
        private readonly SavePerson $save,
        private readonly PasswordLinks $links,
        private readonly PeopleQuery $list,
    ) {
    }

    public function index(Request $request): JsonResponse
    {
        self::administrator($request);

        return new JsonResponse($this->list->execute());
    }

    /** The link is told this once. */
    public function store(Request $request): JsonResponse
    {
        self::administrator($request);
        $request->validate(['email' => ['required', 'string', 'max:120'], 'name' => ['required', 'string', 'max:120']]);
        $user = $this->save->invite($this->order($request, $request->string('email')->trim()->value()));

        return new JsonResponse(['id' => $user->id, ...$this->links->make($user)], 201);
    }

    public function update(Request $request, User $person): JsonResponse
    {
        self::administrator($request);
        $this->save->execute($this->order($request, $person->email));

        return new JsonResponse(['id' => $person->id]);
    }

    /** Ends all that is signed in as this person; the old password holds until another is chosen by the link. */
    public function reset(Request $request, User $person): JsonResponse
    {
        self::administrator($request);
        SavePerson::signOut($person);

        return new JsonResponse(['id' => $person->id, ...$this->links->make($person)], 201);
    }

    public function signOut(Request $request, User $person): JsonResponse
    {
        self::administrator($request);
        SavePerson::signOut($person);

        return new JsonResponse(['gone' => $person->id]);
    }

    public function takeSecondFactor(Request $request, User $person, SecondFactor $factor): JsonResponse
    {
        self::administrator($request);
        $factor->remove($person);

        return new JsonResponse(['gone' => $person->id]);
    }

    public function destroy(Request $request, User $person): JsonResponse
    {
        self::administrator($request);
        $this->save->remove($person->email);

        return new JsonResponse(['gone' => $person->id]);
    }

    private function order(Request $request, string $email): AccountChanges
    {
        $request->validate([
            'name' => ['string', 'max:120'],
            'is_administrator' => ['boolean'],
            'may_make_studies' => ['boolean'],
            'is_disabled' => ['boolean'],
            'roles' => ['array', 'max:500'],
            'roles.*' => ['nullable', 'in:editor,reader'],
        ]);
        $flag = static fn(string $name): ?bool => $request->has($name) ? $request->boolean($name) : null;

        return new AccountChanges(
            $email,
            $request->has('name') ? $request->string('name')->value() : null,
            $flag('is_administrator'),
            false,
            self::roles($request),
            $flag('may_make_studies'),
            $flag('is_disabled'),
        );
    }

    /** @return array<string, ?string> */
    private static function roles(Request $request): array
    {
        $roles = [];
        foreach ($request->array('roles') as $slug => $role) {
            $roles[(string) $slug] = \is_string($role) ? $role : null;
        }

        return $roles;
    }

    private static function administrator(Request $request): void
    {
        $user = $request->user();
        if (!($user instanceof User) || ! $user->is_administrator || TokenAbilities::isByToken()) {
            throw new AccessDeniedHttpException('Only signed-in administrators can manage accounts.');
        }
    }
}
