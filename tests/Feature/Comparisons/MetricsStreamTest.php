<?php

declare(strict_types=1);

namespace Tests\Feature\Comparisons;

use App\Actions\Comparisons\MetricsStream;
use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Rulebook\Rulebook;
use Illuminate\Support\Facades\DB;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Tests\TestCase;

/** Many sources, merged by the server and resolved by the core, against the rule written out over plain arrays. */
final class MetricsStreamTest extends TestCase
{
    private const KEYWORDS = 25;

    public function test_it_agrees_with_the_rule_written_out(): void
    {
        $random = new Randomizer(new Mt19937(31));
        $study = $this->makeStudy();
        $said = [];
        foreach (range(1, 9) as $number) {
            [$kind, $domain, $place] = [['keywords', null, 9], ['rankings', 'quillfair.example', 0], ['rankings', 'inkmoor.example', 1]][
                $number % 3
            ];
            $day = sprintf('2026-%02d-01', $random->getInt(1, 11));
            $rows = $this->rows($random);
            $this->bring($study->slug, $kind, $domain, $day, $rows);
            // A second snapshot of the same day takes the place of the first.
            $key = $kind === 'keywords' ? "list {$number}" : "{$domain} {$day}";
            $said[$key] = ['kind' => $kind, 'day' => $day, 'place' => $place, 'number' => $number, 'rows' => $rows];
        }
        foreach (['', 'rankings,keywords', 'keywords,rankings'] as $volumeSources) {
            $rulebook = Rulebook::standard()->with(['volume_sources' => $volumeSources]);
            $expected = self::resolved($said, $volumeSources === '' ? ['keywords', 'rankings'] : explode(',', $volumeSources));
            $read = DB::transaction(static function () use ($study, $rulebook): array {
                $stream = MetricsStream::open($study->id, $study->refresh()->comparedDomains(), $rulebook->precedence());

                return array_map(static fn(int $number): Metrics => $stream->of(self::keyword($number)), range(0, self::KEYWORDS - 1));
            });
            foreach ($read as $number => $metrics) {
                self::assertSame(
                    $expected[self::keyword($number)],
                    [$metrics->volume, $metrics->difficulty],
                    self::keyword($number).' by '.$volumeSources,
                );
            }
        }
    }

    public function test_a_study_without_sources_knows_nothing(): void
    {
        $study = $this->makeStudy();
        $stream = MetricsStream::open($study->id, $study->comparedDomains(), Rulebook::standard()->precedence());
        self::assertEquals(Metrics::unknown(), $stream->of('pen'));
    }

    private static function keyword(int $number): string
    {
        return sprintf('pen %02d', $number);
    }

    /** @return array<int, array{?int, ?float}> number of the keyword → volume, difficulty */
    private function rows(Randomizer $random): array
    {
        $rows = [];
        for ($number = 0; $number < self::KEYWORDS; ++$number) {
            if ($random->getInt(0, 1) === 1) {
                $rows[$number] = [
                    $random->getInt(0, 2) === 0 ? null : $random->getInt(0, 900),
                    $random->getInt(0, 2) === 0 ? null : $random->getInt(0, 1000) / 10,
                ];
            }
        }

        return $rows;
    }

    /** @param array<int, array{?int, ?float}> $rows */
    private function bring(string $slug, string $kind, ?string $domain, string $day, array $rows): void
    {
        $lines = [$kind === 'keywords' ? 'keyword,volume,difficulty' : 'keyword,position,volume,difficulty'];
        foreach ($rows as $number => [$volume, $difficulty]) {
            $lines[] = self::keyword($number).($kind === 'keywords' ? '' : ',5').','.$volume.','.$difficulty;
        }
        [$code, $printed] = $this->command('reach:import', [
            'slug' => $slug,
            'file' => $this->makeFile(implode("\n", $lines)."\n"),
            '--kind' => $kind,
            '--date' => $day,
            ...$domain === null ? [] : ['--domain' => $domain],
        ]);
        self::assertSame(0, $code, $printed);
    }

    /**
     * The volume by one order of kinds, the difficulty by the standard one.
     *
     * @param array<string, array{kind: string, day: string, place: int, number: int, rows: array<int, array{?int, ?float}>}> $said
     * @param list<string>                                                                                                   $kinds for
     *     the volume
     *
     * @return array<string, array{?int, ?float}>
     */
    private static function resolved(array $said, array $kinds): array
    {
        $first = static function (int $keyword, int $figure, array $kinds) use ($said): int|float|null {
            $sources = array_values($said);
            usort(
                $sources,
                static fn(array $a, array $b): int => array_search($a['kind'], $kinds, true) <=> array_search($b['kind'], $kinds, true) ?:
                strcmp($b['day'], $a['day']) ?:
                $a['place'] <=> $b['place'] ?:
                $b['number'] <=> $a['number'],
            );
            foreach ($sources as $source) {
                if (isset($source['rows'][$keyword][$figure])) {
                    return $source['rows'][$keyword][$figure];
                }
            }

            return null;
        };
        $resolved = [];
        for ($number = 0; $number < self::KEYWORDS; ++$number) {
            [$volume, $difficulty] = [$first($number, 0, $kinds), $first($number, 1, ['keywords', 'rankings'])];
            $resolved[self::keyword($number)] = [
                $volume === null ? null : (int) $volume,
                $difficulty === null ? null : (float) $difficulty,
            ];
        }

        return $resolved;
    }
}
