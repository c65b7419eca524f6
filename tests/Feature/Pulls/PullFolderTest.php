<?php

declare(strict_types=1);

namespace Tests\Feature\Pulls;

use App\Actions\Pulls\PullFolder;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** What a pull has fetched so far, page by page, also after it was killed in the middle of writing one. */
final class PullFolderTest extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        Storage::fake('local');
    }

    /** @return list<array<string, mixed>> */
    private static function page(int $number): array
    {
        return [['keyword' => "pen {$number}"], ['keyword' => "tinte/ü {$number}"]];
    }

    public function test_pages_follow_each_other_and_what_a_killed_pull_wrote_behind_them_is_cut_off(): void
    {
        $folder = new PullFolder('told');
        self::assertSame([false, 1], [$folder->has('keywords'), $folder->nextPage('keywords')]);
        $folder->append('keywords', self::page(1), 2);
        $folder->append('keywords', self::page(2), 3);
        self::assertSame([false, 3], [$folder->has('keywords'), $folder->nextPage('keywords')]);
        file_put_contents($folder->path('keywords').'.part', '{"keyword":"half a li', FILE_APPEND);
        $folder = new PullFolder('told');
        self::assertSame(3, $folder->nextPage('keywords'));
        $folder->append('keywords', self::page(3), null);
        self::assertTrue($folder->has('keywords'));
        $lines = '';
        foreach ([1, 2, 3] as $number) {
            $lines .= "{\"keyword\":\"pen {$number}\"}\n{\"keyword\":\"tinte/ü {$number}\"}\n";
        }
        self::assertSame($lines, file_get_contents($folder->path('keywords')));
        self::assertSame([$folder->path('keywords')], glob($folder->path('keywords').'*'), 'No mark is left.');
    }

    public function test_a_part_of_nothing_is_whole_and_empty(): void
    {
        $folder = new PullFolder('nothing');
        $folder->append('links', [], null);
        self::assertSame([true, true, ''], [
            $folder->has('links'), $folder->isEmpty('links'), file_get_contents($folder->path('links')),
        ]);
        $folder->append('rankings', self::page(1), null);
        self::assertFalse($folder->isEmpty('rankings'));
    }
}
