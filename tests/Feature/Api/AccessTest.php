<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Every route of the API, as nobody, as a stranger to the study and as a reader: no door is forgotten, whatever is added. */
final class AccessTest extends TestCase
{
    /** Doors that are open to everybody: signing in, and asking who is signed in. */
    private const OPEN = [
        'POST api/v1/session', 'GET api/v1/session', 'GET api/v1/health', 'POST api/v1/welcome', 'POST api/v1/welcome/read',
    ];

    /** Asks something by POST and changes nothing, so that readers may. */
    private const ASKING = [
        // Everyone has a digest of their own.
        '/digest',
        'rulebook/preview', 'terms', 'exports/table.{format}', 'exports/list', 'comparison'];

    /** @return list<array{string, string}> method, path with placeholders */
    private static function routes(): array
    {
        $routes = [];
        foreach (app('router')->getRoutes()->getRoutes() as $route) {
            foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                if (
                    str_starts_with($route->uri(), 'api/v1/') &&
                    !\in_array($method.' '.$route->uri(), self::OPEN, true) &&
                    !str_contains($route->uri(), 'fallbackPlaceholder')
                ) {
                    $routes[] = [(string) $method, $route->uri()];
                }
            }
        }

        return $routes;
    }

    private static function fill(string $uri, Study $study): string
    {
        $known = [
            '{study}' => $study->slug, '{slug}' => $study->slug, '{export}' => 'compare.csv', '{format}' => 'csv',
            '{upload}' => Str::uuid()->toString(),
        ];

        return '/'.preg_replace('/\{\w+\??(?::\w+)?\}/', '1', strtr(preg_replace('/\{study:\w+\}/', '{study}', $uri) ?? $uri, $known));
    }

    public function test_without_a_sign_in_every_door_is_shut(): void
    {
        $study = $this->makeStudy();
        $routes = self::routes();
        self::assertGreaterThan(60, \count($routes));
        foreach ($routes as [$method, $uri]) {
            $status = $this->json($method, self::fill($uri, $study))->getStatusCode();
            self::assertSame(401, $status, "{$method} {$uri}");
        }
    }

    public function test_a_stranger_sees_nothing_of_a_study(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeUser());
        foreach (self::routes() as [$method, $uri]) {
            if (str_contains($uri, '{study')) {
                self::assertSame(404, $this->json($method, self::fill($uri, $study))->getStatusCode(), "{$method} {$uri}");
            }
        }
    }

    public function test_a_reader_changes_nothing(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study, 'reader'));
        foreach (self::routes() as [$method, $uri]) {
            if (str_contains($uri, '{study') && $method !== 'GET' && ! self::isAsking($uri)) {
                self::assertSame(403, $this->json($method, self::fill($uri, $study))->getStatusCode(), "{$method} {$uri}");
            }
        }
    }

    private static function isAsking(string $uri): bool
    {
        foreach (self::ASKING as $path) {
            if (str_ends_with($uri, $path)) {
                return true;
            }
        }

        return false;
    }

    /** @return iterable<string, array{string}> */
    public static function hostile(): iterable
    {
        yield 'markup' => ['<script>alert(1)</script>'];
        yield 'a closing quote' => ["'; DROP TABLE studies; --"];
        yield 'a backslash' => ['\\\'); SELECT pg_sleep(9); --'];
        yield 'a wildcard' => ['%_%'];
        yield 'a null' => ["pen\0ink"];
        yield 'not text' => ["\xff\xfe"];
        yield 'a path' => ['../../../etc/passwd'];
    }

    /** Wherever a text goes into a question it finds nothing or is refused; nothing breaks. */
    #[DataProvider('hostile')]
    public function test_hostile_text_is_only_text(string $text): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,5\n", options: ['--domain' => 'quillfair.example']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $encoded = rawurlencode($text);
        $at = "/api/v1/studies/{$study->slug}";
        foreach (
            [
                "bench?show=text%3D{$encoded}",
                "bench?show=tag%3D{$encoded}",
                "bench?show=topic%3D{$encoded}",
                "bench?show=page%3D{$encoded}",
                "bench?sort={$encoded}",
                "bench?cursor={$encoded}",
                "bench/distribution?field={$encoded}",
                "keyword?keyword={$encoded}",
                "opportunities/groups?by={$encoded}",
                "opportunities?weights={$encoded}",
                "exports/{$encoded}.csv",
                "plan?draft={$encoded}",
            ] as $path
        ) {
            self::assertContains($this->getJson("{$at}/{$path}")->getStatusCode(), [200, 400, 404, 422], $path);
        }
        self::assertTrue(Study::query()->whereKey($study->id)->exists());
    }

    public function test_what_is_not_text_is_refused_wherever_it_stands(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $at = "/api/v1/studies/{$study->slug}";
        $this->getJson("{$at}/keyword?keyword=pen%00ink")
            ->assertStatus(400)
            ->assertJsonPath('detail', 'the question contains a NUL byte or invalid UTF-8. Send plain text.');
        $this->getJson("{$at}/bench?show=text%3D%ff%fe")->assertStatus(400);
        $this->postJson("{$at}/lenses", ['name' => "a\0b", 'show' => ''])->assertStatus(400);
        $this->postJson("{$at}/decisions", ['keywords' => ["pen\0"], 'mark' => 'shortlisted'])->assertStatus(400);
    }
}
