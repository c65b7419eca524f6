<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\Studies\SaveStudy;
use App\Actions\Studies\StudyDraft;
use App\Models\Study;
use App\Models\User;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;
use Illuminate\Support\Facades\Artisan;
use Illuminate\Support\Facades\Http;

/** Feature tests run on a real PostgreSQL that is made anew for each run; every test has studies of its own. */
abstract class TestCase extends BaseTestCase
{
    private static bool $isMigrated = false;

    private static int $made = 0;

    protected function setUp(): void
    {
        parent::setUp();
        Http::preventStrayRequests();
        if (! self::$isMigrated) {
            Artisan::call('migrate:fresh', ['--force' => true]);
            self::$isMigrated = true;
        }
        StudyQueries::listen();
    }

    /**
     * Every answer is held against the API's document.
     *
     * @param string       $method
     * @param string       $uri
     * @param array<mixed> $parameters
     * @param array<mixed> $cookies
     * @param array<mixed> $files
     * @param array<mixed> $server
     * @param ?string      $content
     *
     * @return \Illuminate\Testing\TestResponse<\Symfony\Component\HttpFoundation\Response>
     */
    public function call($method, $uri, $parameters = [], $cookies = [], $files = [], $server = [], $content = null)
    {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        Contract::shared()->check($method, $uri, (string) $content, $response);

        return $response;
    }

    /** @param list<string> $competitors */
    protected function makeStudy(array $competitors = ['inkmoor.example', 'nibhouse.example'], string $domain = 'quillfair.example'): Study
    {
        $draft = new StudyDraft('study-'.(++self::$made).'-'.getmypid(), 'Pens', $domain, $competitors);

        return app(SaveStudy::class)->execute($draft)->study;
    }

    protected function makeUser(bool $isAdministrator = false): User
    {
        $number = ++self::$made;

        return User::query()->create([
            'name' => 'Person '.$number,
            'email' => "person{$number}@quillfair.example",
            'password' => 'correct horse',
            'is_administrator' => $isAdministrator,
        ]);
    }

    protected function makeEditor(Study $study, string $role = 'editor'): User
    {
        $user = $this->makeUser();
        $study->members()->attach($user->id, ['role' => $role]);

        return $user;
    }

    /** Writes a file of a test into a folder of its own, and gives its path. */
    protected function makeFile(string $content, string $name = 'list.csv'): string
    {
        $folder = sys_get_temp_dir().'/reach-test-'.getmypid();
        if (! is_dir($folder)) {
            mkdir($folder);
        }
        $path = $folder.'/'.(++self::$made).'-'.$name;
        file_put_contents($path, $content);

        return $path;
    }

    /**
     * @param array<string, mixed> $arguments
     *
     * @return array{int, string} exit code, what was printed
     */
    protected function command(string $name, array $arguments = []): array
    {
        [$code, $printed, $told] = $this->commandApart($name, $arguments);

        return [$code, $code === 0 ? $printed : $printed.$told];
    }

    /**
     * @param array<string, mixed> $arguments
     *
     * @return array{int, string, string} exit code, standard output, standard error
     */
    protected function commandApart(string $name, array $arguments = []): array
    {
        $output = new TwoOutputs();
        $code = Artisan::call($name, $arguments, $output);

        return [$code, $output->fetch(), $output->told->fetch()];
    }

    /** @param array<string, mixed> $options */
    protected function import(Study $study, string $content, string $kind = 'rankings', array $options = []): string
    {
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $study->slug,
            'file' => $this->makeFile($content),
            '--kind' => $kind,
            ...$options,
        ]);
        self::assertSame(0, $code, $printed);

        return $printed;
    }

    /** @return list<array<string, string>> rows of a CSV export by heading */
    protected static function readCsv(string $text): array
    {
        $lines = array_map(
            static fn(string $line): array => array_map(strval(...), str_getcsv($line, ',', '"', '')),
            explode("\r\n", rtrim($text)),
        );
        $headings = array_shift($lines);

        return array_map(static fn(array $cells): array => array_combine($headings, $cells), $lines);
    }
}
