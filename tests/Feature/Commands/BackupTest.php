<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Actions\Backup\TableCounts;
use App\Models\Study;
use App\Models\Upload;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Storage;
use Tests\TestCase;

/** What was written away comes back to the last byte of every export, and what is damaged replaces nothing. */
final class BackupTest extends TestCase
{
    private Study $study;

    private string $folder;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->folder = sys_get_temp_dir().'/reach-backup-'.bin2hex(random_bytes(4));
        File::makeDirectory($this->folder);
        $this->study = $this->makeStudy(['inkmoor.example']);
        $this->import($this->study, "keyword,position\nink,4\nnib,30\n", options: ['--domain' => 'quillfair.example']);
        $this->import($this->study, "keyword,position\nink,9\npaper,2\n", options: ['--domain' => 'inkmoor.example']);
        $this->import($this->study, "keyword,volume,difficulty\nink,900,40\npaper,300,20\n", 'keywords');
        $this->actingAs($this->makeEditor($this->study));
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->decide(['paper'], 'shortlisted');
        Storage::put(Upload::FOLDER.'/waiting', "keyword,position\npen,3\n");
    }

    protected function tearDown(): void
    {
        File::deleteDirectory($this->folder);
        parent::tearDown();
    }

    public function test_all_of_it_comes_back_as_it_was(): void
    {
        [$exports, $rows] = [$this->exports(), TableCounts::read()];
        $backup = $this->folder.'/backup.tar';
        self::assertSame(0, $this->command('reach:backup', ['file' => $backup])[0]);
        self::assertSame('0600', substr(sprintf('%o', fileperms($backup)), -4));

        $this->decide(['ink', 'paper'], 'set aside');
        $this->import($this->study, "keyword,position\nwax,1\n", options: ['--domain' => 'inkmoor.example']);
        Storage::delete(Upload::FOLDER.'/waiting');
        Storage::put(Upload::FOLDER.'/later', 'x');
        self::assertNotSame($exports, $this->exports());

        [$code, $told] = $this->command('reach:restore', ['file' => $backup, '--keep' => $this->folder.'/before.tar']);
        self::assertSame(0, $code, $told);
        self::assertStringContainsString('Restored the backup ', $told);
        self::assertSame($exports, $this->exports());
        self::assertSame([Upload::FOLDER.'/waiting'], Storage::files(Upload::FOLDER));
        // The two commands themselves were written down since.
        self::assertSame(array_replace($rows, ['audit' => $rows['audit'] + 1]), TableCounts::read());

        $back = ['file' => $this->folder.'/before.tar', '--keep' => $this->folder.'/again.tar'];
        self::assertSame(0, $this->command('reach:restore', $back)[0]);
        self::assertSame('set aside', DB::table('decisions')->where('study_id', $this->study->id)->where('keyword', 'ink')->value('mark'));
    }

    public function test_what_is_there_is_not_lost_and_what_is_damaged_replaces_nothing(): void
    {
        $backup = $this->folder.'/backup.tar';
        $this->command('reach:backup', ['file' => $backup]);
        $exports = $this->exports();
        $refused = function (string $file, string $because, ?string $keep): void {
            [$code, $told] = $this->command('reach:restore', ['file' => $file, ...$keep === null ? [] : ['--keep' => $keep]]);
            self::assertSame(1, $code);
            self::assertStringContainsString($because, $told);
        };
        $refused($backup, 'Use --keep=FILE', null);
        $refused($backup, 'That file already exists', $backup);
        $refused($this->folder.'/none.tar', 'read this file. Is it complete', $this->folder.'/a.tar');
        file_put_contents($this->folder.'/odd.tar', 'no archive');
        $refused($this->folder.'/odd.tar', 'read this file. Is it complete', $this->folder.'/b.tar');
        $bytes = (string) file_get_contents($backup);
        $at = (int) strpos($bytes, 'PGDMP') + 2000;
        file_put_contents($this->folder.'/damaged.tar', substr_replace($bytes, '#', $at, 1));
        $refused($this->folder.'/damaged.tar', 'differs from its manifest', $this->folder.'/c.tar');
        $this->alter($backup, 'uploads/waiting', "keyword,position\npen,9\n");
        $refused($this->folder.'/altered.tar', 'uploads in this backup differ', $this->folder.'/d.tar');
        $this->alter($backup, 'uploads/waiting', null);
        $refused($this->folder.'/altered.tar', 'uploads in this backup differ', $this->folder.'/e.tar');
        $this->alter($backup, 'uploads/waiting', 'link');
        $refused($this->folder.'/altered.tar', 'contains a link instead of a file', $this->folder.'/f.tar');
        self::assertSame($exports, $this->exports());
        self::assertSame([], array_filter(Storage::directories(), static fn(string $name): bool => str_starts_with($name, 'backup-')));
    }

    /** @param ?string $content of a part of the backup; null takes it out, `link` puts a symbolic link in its place */
    private function alter(string $backup, string $part, ?string $content): void
    {
        $folder = $this->folder.'/opened';
        File::deleteDirectory($folder);
        File::makeDirectory($folder);
        Process::run(['tar', '--extract', '--file', $backup, '--directory', $folder])->throw();
        unlink($folder.'/'.$part);
        match ($content) {
            null => true,
            'link' => symlink('/etc/hostname', $folder.'/'.$part),
            default => file_put_contents($folder.'/'.$part, $content),
        };
        Process::run(['tar', '--create', '--file', $this->folder.'/altered.tar', '--directory', $folder, '.'])->throw();
    }

    public function test_what_a_killed_backup_left_is_removed_by_the_next_one(): void
    {
        $dead = Process::start([PHP_BINARY, '-r', '']);
        $left = 'backup-'.$dead->id().'-0123';
        $dead->wait();
        $alive = 'backup-'.getmypid().'-0123';
        foreach ([$left, $alive] as $folder) {
            Storage::disk('local')->put($folder.'/dump', 'half');
        }
        self::assertSame(0, $this->command('reach:backup', ['file' => $this->folder.'/backup.tar'])[0]);
        self::assertFalse(Storage::disk('local')->exists($left.'/dump'));
        self::assertTrue(Storage::disk('local')->exists($alive.'/dump'), 'Somebody is still at it.');
        Storage::disk('local')->deleteDirectory($alive);
    }

    public function test_health_tells_a_database_without_its_tables(): void
    {
        $this->getJson('/api/v1/health')->assertOk();
        $last = DB::table('migrations')->orderByDesc('id')->first();
        DB::table('migrations')->where('id', $last?->id)->delete();
        $this->getJson('/api/v1/health')->assertStatus(503)->assertJsonPath('database', 'not ok');
        DB::table('migrations')->insert((array) $last);
    }

    public function test_a_place_that_cannot_be_written_is_told(): void
    {
        [$code, $told] = $this->command('reach:backup', ['file' => $this->folder.'/none/backup.tar']);
        self::assertSame(1, $code);
        self::assertStringContainsString('write the file', $told);
    }

    /** @param list<string> $keywords */
    private function decide(array $keywords, string $mark): void
    {
        $this->postJson("/api/v1/studies/{$this->study->slug}/decisions", ['keywords' => $keywords, 'mark' => $mark])->assertOk();
    }

    /** @return list<string> */
    private function exports(): array
    {
        return array_map(
            fn(string $command): string => $this->command($command, ['slug' => $this->study->slug])[1],
            ['reach:compare', 'reach:weigh', 'reach:topics', 'reach:plan'],
        );
    }
}
