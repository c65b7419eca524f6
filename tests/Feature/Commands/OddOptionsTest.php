<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\Study;
use Illuminate\Support\Facades\Artisan;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Console\Input\InputOption;
use Tests\TestCase;

/**
 * Whatever stands behind an option: done, refused or wrong usage, with one line that says why; never a breakdown, and nothing changed by
 * what was refused.
 */
final class OddOptionsTest extends TestCase
{
    private const COMMANDS = [
        'reach:study',
        'reach:import',
        'reach:compare',
        'reach:weigh',
        'reach:topics',
        'reach:plan',
        'reach:rulebook',
        'reach:pull',
    ];
    private const ODD = [
        '',
        ' ',
        '0',
        '-1',
        '2.5',
        '1e3',
        '99999999999999999999',
        'NaN',
        '٣',
        'odd',
        "two\nlines",
        "a\ttab",
        '2026-02-30',
        '2026-13',
        '9999-12',
        '0000-01',
        '2026-1-1',
        'csv ',
        'CSV',
        '../../x',
        'key=',
        '=value',
        'key=value',
        'within=20;drop',
        'volume:1',
        'volume:-1',
        'volume:1,volume:2',
        'volume:',
        ':1',
        'http://',
        'https://[::1',
        'inkmoor.example/../',
        '-',
        '--',
        "'",
        '"',
        '%s',
        '😀',
    ];

    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy();
        $this->import(
            $this->study,
            "keyword,position,volume,difficulty\nfountain pen,12,1000,20\nink,8,400,\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $this->study,
            "keyword,position,volume\nfountain pen,3,1000\nblotting paper,5,250\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
    }

    /** @return iterable<string, array{string, string}> command, option that takes a value */
    public static function valued(): iterable
    {
        $known = [
            'reach:study' => ['name', 'domain', 'competitor', 'country', 'language', 'device', 'editor'],
            'reach:import' => ['kind', 'domain', 'date', 'channel', 'map', 'allow-errors'],
            'reach:compare' => ['date', 'within', 'channel', 'format'],
            'reach:weigh' => ['by', 'preset', 'weights', 'format'],
            'reach:topics' => ['format'],
            'reach:plan' => ['months', 'capacity', 'start', 'by', 'goal', 'until', 'odds', 'format'],
            'reach:rulebook' => ['set'],
            'reach:pull' => ['source', 'date', 'snapshots', 'domain'],
        ];
        foreach ($known as $command => $options) {
            foreach ($options as $option) {
                yield "{$command} --{$option}" => [$command, $option];
            }
        }
    }

    public function test_no_option_is_forgotten_here(): void
    {
        $told = [];
        foreach (self::valued() as [$command, $option]) {
            $told[$command][] = $option;
        }
        foreach (self::COMMANDS as $name) {
            $own = array_filter(
                Artisan::all()[$name]->getDefinition()->getOptions(),
                static fn(InputOption $option): bool => $option->acceptValue() &&
                    !\in_array($option->getName(), ['out', 'report', 'env', 'verbose'], true),
            );
            self::assertEqualsCanonicalizing(array_keys($own), $told[$name], $name);
        }
    }

    #[DataProvider('valued')]
    public function test_an_odd_value_is_answered_in_one_line(string $command, string $option): void
    {
        foreach (self::ODD as $odd) {
            $study = $command === 'reach:study' ? 'odd-'.bin2hex(random_bytes(4)) : $this->study->slug;
            $isList = Artisan::all()[$command]->getDefinition()->getOption($option)->isArray();
            $arguments = ['slug' => $study, ...$this->alsoNeeded($command, $option), '--'.$option => $isList ? [$odd] : $odd];
            [$code, $printed] = $this->command($command, $arguments);
            $what = "{$command} --{$option}=".json_encode($odd).": {$printed}";
            self::assertContains($code, [0, 1, 2], $what);
            self::assertStringNotContainsString('SQLSTATE', $printed, $what);
            self::assertStringNotContainsString('Stack trace', $printed, $what);
            if ($code !== 0 && $command !== 'reach:import') {
                self::assertCount(1, explode("\n", trim($printed)), "One line says what is wrong. {$what}");
                self::assertGreaterThan(20, \strlen(trim($printed)), $what);
            }
        }
        self::assertSame('Pens', Study::query()->whereKey($this->study->id)->value('name'));
    }

    public function test_a_refused_setting_changes_none_of_those_beside_it(): void
    {
        [$code] = $this->command('reach:rulebook', [
            'slug' => $this->study->slug,
            '--set' => ['target=2', 'within=20', 'conversion_rate=7'],
        ]);
        self::assertSame(1, $code);
        self::assertSame([], $this->study->refresh()->rulebook()->changes());
        [$code] = $this->command('reach:rulebook', ['slug' => $this->study->slug, '--set' => ['target=2', 'within=20']]);
        self::assertSame([0, ['target' => '2', 'within' => '20']], [$code, $this->study->refresh()->rulebook()->changes()]);
    }

    public function test_a_study_that_is_not_there_is_told_by_every_command(): void
    {
        foreach (self::COMMANDS as $command) {
            if ($command !== 'reach:study') {
                [$code, $printed] = $this->command($command, ['slug' => 'nowhere', ...$this->alsoNeeded($command, '')]);
                self::assertSame(1, $code, $command);
                self::assertStringContainsString('"nowhere"', $printed, $command);
            }
        }
    }

    /** @return array<string, string|bool> */
    private function alsoNeeded(string $command, string $option): array
    {
        return match ($command) {
            'reach:study' => array_diff_key(['--name' => 'Odd', '--domain' => 'odd.example'], ['--'.$option => '']),
            'reach:import' => [
                'file' => $this->makeFile("keyword,position\nodd pen,7\n"),
                '--dry-run' => true,
                ...array_diff_key(['--kind' => 'rankings', '--domain' => 'quillfair.example'], ['--'.$option => '']),
            ],
            default => [],
        };
    }
}
