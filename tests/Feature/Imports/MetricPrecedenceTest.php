<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Models\Study;
use Tests\TestCase;

/** Which of several sources a metric is taken from, and that none is overwritten. */
final class MetricPrecedenceTest extends TestCase
{
    private function volumeOf(Study $study, string $keyword = 'pen'): string
    {
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);

        return array_column(self::readCsv($csv), 'volume', 'keyword')[$keyword];
    }

    private function rankings(Study $study, string $domain, string $day, string $volume): void
    {
        $this->import($study, "keyword,position,volume\npen,5,{$volume}\n", options: ['--domain' => $domain, '--date' => $day]);
    }

    public function test_a_keyword_list_beats_rankings_however_old_it_is(): void
    {
        $study = $this->makeStudy();
        $this->rankings($study, 'quillfair.example', '2026-11-01', '100');
        $this->import($study, "keyword,volume\npen,70\n", 'keywords', ['--date' => '2020-01-01']);
        self::assertSame('70', $this->volumeOf($study));
    }

    public function test_the_rulebook_can_turn_the_sources_round(): void
    {
        $study = $this->makeStudy();
        $this->rankings($study, 'quillfair.example', '2026-11-01', '100');
        $this->import($study, "keyword,volume\npen,70\n", 'keywords', ['--date' => '2026-11-01']);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['metric_sources=rankings,keywords']]);
        self::assertSame('100', $this->volumeOf($study));
    }

    public function test_one_metric_can_have_an_order_of_its_own(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,volume,difficulty\npen,5,100,40\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import($study, "keyword,volume,difficulty\npen,70,30\n", 'keywords', ['--date' => '2026-11-01']);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['difficulty_sources=rankings,keywords']]);
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        $row = self::readCsv($csv)[0];
        self::assertSame(['70', '40'], [$row['volume'], $row['difficulty']]);
        $this->command('reach:rulebook', ['slug' => $study->slug, '--set' => ['difficulty_sources=']]);
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        self::assertSame('30', self::readCsv($csv)[0]['difficulty'], 'Emptied, the order of all metrics holds again.');
    }

    public function test_a_known_value_beats_an_unknown_one_of_a_better_source(): void
    {
        $study = $this->makeStudy();
        $this->import($study, "keyword,volume\npen,n/a\n", 'keywords', ['--date' => '2026-11-01']);
        $this->rankings($study, 'inkmoor.example', '2026-10-01', '40');
        self::assertSame('40', $this->volumeOf($study));
    }

    public function test_the_newest_rankings_win_even_after_the_as_of_day(): void
    {
        $study = $this->makeStudy();
        $this->rankings($study, 'quillfair.example', '2026-09-01', '10');
        $this->rankings($study, 'nibhouse.example', '2026-11-01', '30');
        $this->rankings($study, 'inkmoor.example', '2026-10-01', '20');
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug, '--date' => '2026-09-15']);
        self::assertSame(['30'], array_column(self::readCsv($csv), 'volume'));
    }

    public function test_on_one_day_ours_comes_before_the_competitors_as_listed(): void
    {
        $study = $this->makeStudy();
        $this->rankings($study, 'nibhouse.example', '2026-11-01', '30');
        $this->rankings($study, 'inkmoor.example', '2026-11-01', '20');
        self::assertSame('20', $this->volumeOf($study));
        $this->rankings($study, 'quillfair.example', '2026-11-01', '10');
        self::assertSame('10', $this->volumeOf($study));
    }

    public function test_within_a_file_the_first_row_that_knows_counts(): void
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,volume,difficulty\npen,9,,50\npen,3,20,60\npen,4,30,70\n",
            options: ['--domain' => 'quillfair.example'],
        );
        [, $csv] = $this->command('reach:compare', ['slug' => $study->slug]);
        $row = self::readCsv($csv)[0];
        self::assertSame(['3', '20', '50'], [$row['own_position'], $row['volume'], $row['difficulty']]);
    }
}
