<?php

declare(strict_types=1);

namespace Tests\Feature\Commands;

use App\Models\Study;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Data that gives the models nothing to learn from still gives defined results, with what was assumed named. */
final class OddDataTest extends TestCase
{
    /** @return iterable<string, array{string, string, bool}> ours, theirs, whether the position model is assumed */
    public static function oddities(): iterable
    {
        $many = static fn(\Closure $row): string => "keyword,position,volume,difficulty\n".
            implode('', array_map(static fn(int $number): string => $row($number)."\n", range(1, 110)));
        yield 'nobody within the top 20, and no URLs, so that nobody is known to have a page' => [
            $many(static fn(int $number): string => "k{$number},50,100,".($number % 100)),
            $many(static fn(int $number): string => "k{$number},60,100,".($number % 100)),
            true,
        ];
        yield 'everybody on page one' => [
            $many(static fn(int $number): string => "k{$number},2,100,".($number % 100)),
            $many(static fn(int $number): string => "k{$number},3,100,".($number % 100)),
            true,
        ];
        yield 'every difficulty unknown' => [
            $many(static fn(int $number): string => "k{$number},12,100,"),
            $many(static fn(int $number): string => "k{$number},5,100,"),
            true,
        ];
        yield 'every difficulty alike' => [
            $many(static fn(int $number): string => "k{$number},12,100,40"),
            $many(static fn(int $number): string => "k{$number},5,100,40"),
            false,
        ];
        yield 'every volume zero' => [
            $many(static fn(int $number): string => "k{$number},12,0,".($number % 100)),
            $many(static fn(int $number): string => "k{$number},".(($number % 30) + 1).",0,".($number % 100)),
            false,
        ];
        yield 'one keyword' => ["keyword,position,volume,difficulty\nk,12,100,20\n", "keyword,position\nk,3\n", true];
        yield 'a keyword of 400 characters' => [
            "keyword,position,volume,difficulty\n".str_repeat('k', 400).",12,100,20\n",
            "keyword,position\nk,3\n",
            true,
        ];
    }

    #[DataProvider('oddities')]
    public function test_odd_data_gives_defined_results(string $ours, string $theirs, bool $isAssumed): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, $ours, options: ['--domain' => 'quillfair.example']);
        $this->import($study, $theirs, options: ['--domain' => 'inkmoor.example']);
        [$code, $csv] = $this->command('reach:weigh', ['slug' => $study->slug]);
        self::assertSame(0, $code);
        foreach (self::readCsv($csv) as $row) {
            self::assertDoesNotMatchRegularExpression('/nan|inf/i', implode(' ', [$row['win_chance'], $row['priority'], $row['gain']]));
            self::assertTrue($row['gain'] === '' || (float) $row['gain'] >= 0);
        }
        self::assertSame(0, $this->command('reach:plan', ['slug' => $study->slug])[0]);
        [$code, $model] = $this->command('reach:model', ['slug' => $study->slug]);
        self::assertSame(0, $code);
        self::assertStringNotContainsString('NAN', strtoupper($model));
        self::assertSame($isAssumed, Study::query()->findOrFail($study->id)->comparison?->models()?->positions->fit->isAssumed);
    }

    /** @return iterable<string, array{string, float}> */
    public static function effects(): iterable
    {
        yield 'no work moves anything' => ['0', 0.0];
        yield 'all work does' => ['1', 1.0];
    }

    #[DataProvider('effects')]
    public function test_no_page_that_moves_and_every_page_are_defined(string $moving, float $share): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import($study, "keyword,position,volume,difficulty\npen,12,100,20\n", options: ['--domain' => 'quillfair.example']);
        $this->import($study, "keyword,position\npen,3\nnib,2\n", options: ['--domain' => 'inkmoor.example']);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ["moving_share={$moving}"]]);
        [, $csv] = $this->command('reach:weigh', ['slug' => $study->slug]);
        $row = self::readCsv($csv)[0];
        // The assumed line at a difficulty of 20: F(3) ÷ F(12).
        $upTo = static fn(float $alpha): float => 1 / (1 + exp(-(10 / 8 + $alpha)));
        $reach = $upTo(-1.7) / ($upTo(0.0) + .2 * ($upTo(.95) - $upTo(0.0)));
        self::assertEqualsWithDelta($share * $reach, (float) $row['win_chance'], 1e-12);
        self::assertSame($share > 0, (float) $row['expected_gain'] > 0);
        self::assertSame('quick win', $row['horizon'], 'The horizon goes by the reach, whatever the share that moves.');
    }

    public function test_one_domain_alone_is_a_study_too(): void
    {
        $study = $this->makeStudy([]);
        $this->import(
            $study,
            "keyword,position,url,volume\nbee hive,12,https://quillfair.example/a,100\nbee box,15,https://quillfair.example/a,90\n",
            options: ['--domain' => 'quillfair.example'],
        );
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        self::assertSame(['alone', 'alone'], array_column(self::readCsv($csv), 'standing'));
        [, $topics] = $this->command('reach:topics', ['slug' => $study->slug]);
        self::assertSame(
            ['primary', 'secondary'],
            array_column(self::readCsv($topics), 'role'),
            'One domain with URLs is evidence enough.',
        );
    }

    public function test_ten_thousand_pages_for_one_keyword_are_kept_and_the_best_counts(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $rows = implode(
            '',
            array_map(
                static fn(int $number): string => 'bee hive,'.(100 - ($number % 90)).",https://quillfair.example/page-{$number},100\n",
                range(1, 10_000),
            ),
        );
        $this->import($study, "keyword,position,url,volume\n".$rows, options: ['--domain' => 'quillfair.example']);
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        $row = self::readCsv($csv)[0];
        self::assertSame(['11', 'https://quillfair.example/page-1079'], [$row['own_position'], $row['own_url']]);
    }
}
