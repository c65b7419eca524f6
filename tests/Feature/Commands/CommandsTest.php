<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\Domain;
use App\Models\Study;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

final class CommandsTest extends TestCase
{
    /** @return iterable<string, array{string, array<string, mixed>, int, string}> */
    public static function refusals(): iterable
    {
        yield 'no such study' => ['reach:compare', ['slug' => 'nowhere'], 1, 'No study is called "nowhere"'];
        yield 'a day that is none' => ['reach:compare', ['slug' => '%s', '--date' => '2026-02-30'], 1, '2026-12-31'];
        yield 'a within that is none' => ['reach:compare', ['slug' => '%s', '--within' => '33'], 2, '10, 20, 50, 100'];
        yield 'a channel that is none' => ['reach:compare', ['slug' => '%s', '--channel' => 'radio'], 2, 'organic, paid'];
        yield 'a format that is none' => ['reach:weigh', ['slug' => '%s', '--format' => 'doc'], 2, 'csv, json'];
        yield 'an option that is none' => ['reach:weigh', ['slug' => '%s', '--luck' => '1'], 2, 'does not exist'];
        yield 'an argument missing' => ['reach:weigh', [], 2, 'missing'];
        yield 'weights all zero' => ['reach:weigh', ['slug' => '%s', '--weights' => 'ease:0'], 1, 'all zero'];
        yield 'a folder that is not there' => ['reach:compare', ['slug' => '%s', '--out' => '/nowhere/at/all.csv'], 1, 'Can\'t write'];
        yield 'a new study without a domain' => ['reach:study', ['slug' => 'new-one', '--name' => 'New'], 1, 'Give it a name and a domain'];
        yield 'a slug that is none' => ['reach:study', ['slug' => 'New One'], 1, 'lower-case letters'];
        yield 'a domain that is none' => [
            'reach:study',
            ['slug' => 'new-one', '--name' => 'New', '--domain' => 'co.uk'],
            1,
            'registrable domain',
        ];
        yield 'a country that is none' => ['reach:study', ['slug' => '%s', '--country' => 'ZZZ'], 1, 'two-letter'];
        yield 'a competitor twice' => ['reach:study', ['slug' => '%s', '--competitor' => ['a.example', 'A.example']], 1, 'listed twice'];
        yield 'eleven competitors' => [
            'reach:study',
            [
                'slug' => '%s',
                '--competitor' => [
                    'a.example',
                    'b.example',
                    'c.example',
                    'd.example',
                    'e.example',
                    'f.example',
                    'g.example',
                    'h.example',
                    'i.example',
                    'j.example',
                    'k.example',
                ],
            ],
            1,
            'at most 10',
        ];
        yield 'a rulebook key that is none' => ['reach:rulebook', ['slug' => '%s', '--set' => ['luck=1']], 1, 'unknown'];
        yield 'a rulebook value out of range' => ['reach:rulebook', ['slug' => '%s', '--set' => ['target=0']], 1, 'from 1 to 100'];
        yield 'a rulebook pair that is none' => ['reach:rulebook', ['slug' => '%s', '--set' => ['target']], 2, 'key=value'];
    }

    /** @param array<string, mixed> $arguments */
    #[DataProvider('refusals')]
    public function test_a_wrong_call_gets_one_line_and_its_exit_code(string $command, array $arguments, int $code, string $says): void
    {
        $slug = $this->makeStudy()->slug;
        $arguments = array_map(static fn(mixed $value): mixed => $value === '%s' ? $slug : $value, $arguments);
        [$exit, $printed] = $this->command($command, $arguments);
        self::assertSame($code, $exit, $printed);
        self::assertStringContainsString($says, $printed);
        self::assertSame(1, substr_count(trim($printed), "\n") + 1, 'One line: '.$printed);
    }

    public function test_a_study_on_an_existing_slug_is_updated_and_who_is_dropped_stays_a_candidate(): void
    {
        $study = $this->makeStudy(['a.example', 'b.example']);
        [$code] = $this->command('reach:study', [
            'slug' => $study->slug,
            '--competitor' => ['b.example', 'c.example'],
            '--country' => 'us',
        ]);
        self::assertSame(0, $code);
        $study = Study::query()->where('slug', $study->slug)->with('domains')->firstOrFail();
        self::assertSame(
            ['quillfair.example', 'b.example', 'c.example'],
            array_map(static fn(Domain $domain): string => $domain->entry, $study->comparedDomains()),
        );
        self::assertSame(['US', 'USD', 'Pens'], [$study->country, $study->currency, $study->name]);
        self::assertSame(['a.example'], $study->domains->where('role', 'candidate')->pluck('entry')->all());
    }

    public function test_an_empty_study_compares_and_weighs_to_headings_alone(): void
    {
        $slug = $this->makeStudy()->slug;
        [, $compared] = $this->command('reach:compare', ['slug' => $slug]);
        [, $weighed] = $this->command('reach:weigh', ['slug' => $slug]);
        [, $topics] = $this->command('reach:topics', ['slug' => $slug]);
        self::assertSame([1, 1, 1], [substr_count($compared, "\r\n"), substr_count($weighed, "\r\n"), substr_count($topics, "\r\n")]);
    }

    public function test_an_export_appears_only_when_complete(): void
    {
        $path = $this->makeFile('', 'out.csv');
        [$code] = $this->command('reach:compare', ['slug' => $this->makeStudy()->slug, '--out' => $path]);
        self::assertSame(0, $code);
        self::assertStringStartsWith('keyword,standing', (string) file_get_contents($path));
        self::assertFileDoesNotExist($path.'.part');
    }

    public function test_a_changed_rulebook_changes_the_next_comparison(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position,volume\npen,40,1000\n", options: ['--domain' => 'quillfair.example']);
        [, $before] = $this->command('reach:weigh', ['slug' => $study->slug]);
        [, $printed] = $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['target=1', 'within=20']]);
        self::assertStringContainsString("within=20\n", $printed);
        [, $after] = $this->command('reach:weigh', ['slug' => $study->slug]);
        self::assertSame(['40', '3'], [self::readCsv($before)[0]['own_position'], self::readCsv($before)[0]['target']]);
        self::assertSame([], self::readCsv($after), 'Beyond within nobody is present, so the keyword is unclaimed.');
    }

    public function test_the_rulebook_prints_every_setting_with_bounds_and_meaning(): void
    {
        [, $json] = $this->command('reach:rulebook', ['slug' => $this->makeStudy()->slug, '--json' => true]);
        $settings = json_decode($json, true, 8, JSON_THROW_ON_ERROR);
        self::assertSame(.35, $settings['moving_share']['value']);
        self::assertSame(['expected' => 2, 'worth' => 4, 'intent' => 1], $settings['weights']['value']);
        self::assertNotEmpty($settings['weights']['bounds']);
        self::assertNotEmpty($settings['weights']['meaning']);
    }

    public function test_paid_and_organic_are_never_mixed(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position,channel\npen,4,organic\nnib,2,paid\n", options: ['--domain' => 'quillfair.example']);
        [, $organic] = $this->command('reach:compare', ['slug' => $study->slug]);
        [, $paid] = $this->command('reach:compare', ['slug' => $study->slug, '--channel' => 'paid']);
        self::assertSame(
            [['pen'], ['nib']],
            [array_column(self::readCsv($organic), 'keyword'), array_column(self::readCsv($paid), 'keyword')],
        );
    }

    /** Written to as it is: a finished file moved into its place would take a device away from the whole machine. */
    public function test_what_is_no_file_is_written_to_and_stays_what_it_is(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,position\npen,5\n", options: ['--domain' => 'quillfair.example']);
        [$code] = $this->command('reach:compare', ['slug' => $study->slug, '--out' => '/dev/null']);
        self::assertSame([0, 'char'], [$code, filetype('/dev/null')]);
        self::assertFileDoesNotExist('/dev/null.part');
        $target = $this->makeFile('', 'target.csv');
        symlink($target, $target.'.link');
        [$code] = $this->command('reach:compare', ['slug' => $study->slug, '--out' => $target.'.link']);
        self::assertSame([0, 'link'], [$code, filetype($target.'.link')]);
        self::assertSame(['pen'], array_column(self::readCsv((string) file_get_contents($target)), 'keyword'));
    }

    public function test_who_made_a_study_by_command_can_be_let_in(): void
    {
        $person = $this->makeUser();
        $slug = 'made-'.bin2hex(random_bytes(4));
        [, $told] = $this->command('reach:study', ['slug' => $slug, '--name' => 'Pens', '--domain' => 'quillfair.example']);
        self::assertStringContainsString('Only administrators can see it', $told);
        [$code, $told] = $this->command('reach:study', ['slug' => $slug, '--editor' => $person->email]);
        self::assertSame(0, $code, $told);
        self::assertStringNotContainsString('Only administrators', $told);
        $this->actingAs($person)->getJson("/api/v1/studies/{$slug}")->assertOk()->assertJsonPath('may_edit', true);
        [$code, $told] = $this->command('reach:study', ['slug' => $slug, '--editor' => 'nobody@quillfair.example']);
        self::assertSame(1, $code);
        self::assertStringContainsString('No account has the address "nobody@quillfair.example"', $told);
    }
}
