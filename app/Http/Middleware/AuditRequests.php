<?php

declare(strict_types=1);

namespace App\Http\Middleware;

use App\Actions\Audit\AuditEntry;
use App\Actions\Audit\PreviousValues;
use App\Actions\Audit\RecordAudit;
use App\Models\Study;
use App\Models\User;
use App\Support\LastChange;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Routing\Route;
use Symfony\Component\HttpFoundation\Response;

/** Writes down every act: what changes something, what is taken along as a file, and what was refused. */
final readonly class AuditRequests
{
    /** Never written down, wherever they stand. */
    private const SECRET = ['password', 'new_password', 'token', 'signature', 'link', 'code', '_token'];

    private const SIGN_IN = 'api/v1/session';

    /** Attribute of a request: who was signed in before it signed out. */
    public const LEAVING = 'leaving';

    /** Bytes kept of what was asked. */
    private const LONGEST = 4000;

    /** Bytes kept of a page that was asked for and refused: anybody with an account can repeat that. */
    private const LONGEST_REFUSED = 200;

    public function __construct(private RecordAudit $write, private PreviousValues $before)
    {
    }

    /** @param \Closure(Request): Response $next */
    public function handle(Request $request, \Closure $next): Response
    {
        $this->before->take();
        $response = $next($request);
        $user = $request->attributes->get(self::LEAVING) ?? $request->user();
        if ($user instanceof User && ! $request->isMethodSafe() && $response->getStatusCode() < 400) {
            LastChange::note($user->id);
        }
        if (self::isAct($request, $response, $user !== null)) {
            $this->write->execute($this->entry($request, $response, $user));
        }

        return $response;
    }

    /** What no one did is not written down, so that no one can fill the record from outside; guesses at passwords are bounded. */
    private static function isAct(Request $request, Response $response, bool $isKnown): bool
    {
        $status = $response->getStatusCode();
        if (! $isKnown) {
            return $request->isMethod('POST') && ($request->is(self::SIGN_IN) ? $status < 429 : $status < 400);
        }
        if (self::isAsking($request)) {
            return false;
        }

        return $status !== 429 && (! $request->isMethodSafe() || $request->is('api/v1/*/exports/*') || $status === 403 || $status === 404);
    }

    /** Asks something by POST, again and again while a slider moves. */
    private static function isAsking(Request $request): bool
    {
        return $request->is('api/v1/studies/*/rulebook/preview', 'api/v1/studies/*/terms');
    }

    private function entry(Request $request, Response $response, mixed $user): AuditEntry
    {
        $study = $request->route('study');

        return new AuditEntry(
            $request->method().' '.self::path($request),
            $response->getStatusCode(),
            (string) $request->ip(),
            $user instanceof User ? $user->id : null,
            $user instanceof User ? $user->email : self::named($request),
            $study instanceof Study ? $study->id : null,
            $study instanceof Study ? $study->slug : (\is_string($study) ? mb_substr($study, 0, 100) : null),
            [...self::detail($request, $response), ...$response->getStatusCode() < 400 ? $this->before->take() : []],
        );
    }

    /** Who someone says that he is, where no one is signed in yet. */
    private static function named(Request $request): ?string
    {
        $email = $request->input('email');

        return \is_string($email) && $email !== '' ? mb_strtolower(mb_substr($email, 0, 200)) : null;
    }

    /** As the API's document has it. */
    private static function path(Request $request): string
    {
        $route = $request->route();
        $uri = $route instanceof Route ? $route->uri() : '';

        return '/'.ltrim((string) preg_replace(['~^api/v1~', '~\{study(:slug)?\}~'], ['', '{slug}'], $uri), '/');
    }

    /** @return array<string, mixed> */
    private static function detail(Request $request, Response $response): array
    {
        $route = $request->route();
        $parameters = $route instanceof Route ? $route->originalParameters() : [];
        $asked = array_diff_key([...$parameters, ...(array) $request->input()], array_flip([...self::SECRET, 'study']));
        $text = (string) json_encode($asked, JSON_INVALID_UTF8_SUBSTITUTE | JSON_PARTIAL_OUTPUT_ON_ERROR);
        $longest = $request->isMethodSafe() && $response->getStatusCode() >= 400 ? self::LONGEST_REFUSED : self::LONGEST;
        $detail = \strlen($text) <= $longest ? ['asked' => (object) $asked] : ['asked' => mb_strcut($text, 0, $longest).' …'];
        $told = $response instanceof JsonResponse ? $response->getData(true) : null;
        if (\is_array($told)) {
            // Under this number stands what was before.
            $detail += array_intersect_key($told, array_flip(['change', 'detail', 'id']));
        }

        return $detail;
    }
}
