<?php

declare(strict_types=1);

namespace Tests\Feature\Support;

use App\Support\Release;
use Illuminate\Filesystem\Filesystem;
use Symfony\Component\Process\Process;
use Tests\TestCase;

/** Who remembers for whom: processes of the same code know each other's answers, wherever they run. */
final class ReleaseTest extends TestCase
{
    private string $root;

    protected function setUp(): void
    {
        parent::setUp();
        $this->root = sys_get_temp_dir().'/reach-release-'.getmypid();
    }

    protected function tearDown(): void
    {
        (new Filesystem())->deleteDirectory($this->root);
        parent::tearDown();
    }

    /** @param array<string, string> $files path → content */
    private function made(string $name, array $files): string
    {
        foreach (['composer.json' => '{}', ...$files] as $path => $content) {
            (new Filesystem())->ensureDirectoryExists(\dirname("{$this->root}/{$name}/{$path}"));
            file_put_contents("{$this->root}/{$name}/{$path}", $content);
        }

        return Release::of("{$this->root}/{$name}");
    }

    public function test_the_same_code_is_one_release_and_other_code_another(): void
    {
        $files = ['app/A.php' => 'a', 'core/B.php' => 'b'];
        $first = $this->made('first', $files);
        self::assertSame($first, $this->made('second', $files));
        self::assertSame($first, $this->made('noted', [...$files, 'docs/read.md' => 'no code']));
        $others = [
            $this->made('changed', [...$files, 'core/B.php' => 'c']),
            $this->made('more', [...$files, 'app/C.php' => '']),
            $this->made('moved', ['app/B.php' => 'a', 'core/A.php' => 'b']),
            $this->made('built', [...$files, 'composer.json' => '{"require": {}}']),
        ];
        self::assertCount(4, array_unique(array_diff($others, [$first])));
    }

    public function test_who_serves_with_settings_kept_and_who_works_without_are_one(): void
    {
        $told = static function (array $settings): string {
            $asked = new Process([PHP_BINARY, 'artisan', 'config:show', 'reach.release'], base_path(), $settings);

            return trim($asked->mustRun()->getOutput());
        };
        $kept = sys_get_temp_dir().'/reach-settings-'.getmypid().'.php';
        try {
            (new Process([PHP_BINARY, 'artisan', 'config:cache'], base_path(), ['APP_CONFIG_CACHE' => $kept]))->mustRun();
            self::assertStringContainsString(Release::stamp(), $told(['APP_CONFIG_CACHE' => $kept]));
            self::assertSame($told([]), $told(['APP_CONFIG_CACHE' => $kept]));
        } finally {
            @unlink($kept);
        }
    }
}
