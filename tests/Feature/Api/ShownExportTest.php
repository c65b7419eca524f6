<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Models\Study;
use Illuminate\Support\Facades\Storage;
use OpenSpout\Reader\Common\Creator\ReaderEntityFactory;
use Tests\TestCase;

/** Every list is written as it is shown: its columns, its order, its sentence, and decisions in this study where that is wanted. */
final class ShownExportTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake();
        $this->study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $this->list('quillfair.example', 'ink,4,https://quillfair.example/ink');
        $this->list('inkmoor.example', "ink,9,https://inkmoor.example/i\nnib,2,https://inkmoor.example/n\nwax,5,");
        $this->list('nibhouse.example', 'wax,1,https://nibhouse.example/wax');
        $this->import($this->study, "keyword,volume,difficulty\nink,900,40\nnib,100,10\nwax,50,70\n", 'keywords');
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->actingAs($this->makeEditor($this->study));
    }

    public function test_the_columns_and_the_order_are_those_of_the_screen(): void
    {
        $csv = $this->csv(['list' => 'compare', 'columns' => 'keyword,own,volume,p1,lane', 'sort' => 'p1', 'dir' => 'asc']);
        self::assertSame(
            "keyword,own_position,volume,inkmoor.example,quillfair.example,nibhouse.example\r\n".
                "nib,,100,2,,\r\nwax,,50,5,,1\r\nink,4,900,9,4,\r\n",
            $csv,
        );
    }

    public function test_the_best_place_of_others_is_told_apart_from_ours(): void
    {
        $csv = $this->csv(['list' => 'compare', 'columns' => 'keyword,best', 'sort' => 'keyword', 'dir' => 'asc']);
        self::assertSame("keyword,best_position\r\nink,9\r\nnib,2\r\nwax,1\r\n", $csv);
    }

    public function test_what_people_decided_stands_beside_it_and_the_sentence_above(): void
    {
        $reason = ['mark' => 'shortlisted', 'reason' => '=SUM(1), it "pays"'];
        $this->postJson($this->at('decisions'), ['keywords' => ['nib'], ...$reason])->assertOk();
        $this->postJson($this->at('decisions'), ['keywords' => ['nib'], 'tag' => 'spring'])->assertOk();
        $this->postJson($this->at('decisions'), ['keywords' => ['nib'], 'note' => 'ask Rowan', 'intent' => 'buy'])->assertOk();
        $csv = $this->csv([
            'list' => 'weigh',
            'show' => 'mark=shortlisted',
            'columns' => 'rank,keyword,reason,tags,note,stage,addresses',
            'title' => 'Opportunities, shortlisted — 1',
        ]);
        self::assertSame(
            "\"Opportunities, shortlisted — 1\"\r\n".
                "rank,keyword,reason,tags,note,stage,url of quillfair.example,url of inkmoor.example,url of nibhouse.example\r\n".
                "1,nib,\"'=SUM(1), it \"\"pays\"\"\",spring,ask Rowan,bottom,,https://inkmoor.example/n,\r\n",
            $csv,
        );
    }

    public function test_a_long_list_is_written_in_the_background_and_fetched(): void
    {
        $order = ['list' => 'compare', 'columns' => 'keyword,own,p1', 'sort' => 'p1', 'dir' => 'asc', 'title' => 'Keywords — 3 of 3'];
        $task = $this->postJson($this->at('exports/list'), $order)->assertStatus(202)->assertJsonPath('kind', 'export')->json('id');
        $this->getJson($this->at("tasks/{$task}"))->assertOk()->assertJsonPath('status', 'done')->assertJsonPath('result.rows', 3);
        $file = $this->makeFile($this->get($this->at("tasks/{$task}/file"))->assertOk()->streamedContent(), 'list.xlsx');
        self::assertSame(
            [['Keywords — 3 of 3'], ['keyword', 'own_position', 'inkmoor.example'], ['nib', '', 2], ['wax', '', 5], ['ink', 4, 9]],
            self::cells($file),
        );
        touch(Storage::path("exports/{$task}.xlsx"), time() - 90_000);
        $this->postJson($this->at('exports/list'), $order)->assertStatus(202);
        $this->get($this->at("tasks/{$task}/file"))->assertNotFound();
        $this->postJson($this->at('exports/list'), ['columns' => 'colour'] + $order)->assertStatus(422);
        $this->actingAs($this->makeEditor($this->makeStudy()))->get($this->at("tasks/{$task}/file"))->assertNotFound();
    }

    public function test_pages_are_written_by_their_own_columns(): void
    {
        $query = 'list=pages&columns=topic,keywords,page,chance,worth,stage&sort=volume';
        $rows = json_decode($this->get($this->at("exports/list.json?{$query}"))->assertOk()->streamedContent(), true);
        self::assertIsArray($rows);
        self::assertSame(['topic', 'keywords', 'own_url', 'win_chance', 'worth', 'stage'], array_keys($rows[0]));
        self::assertSame(
            array_column($this->getJson($this->at('opportunities/topics?sort=volume'))->json('rows'), 'topic'),
            array_column($rows, 'topic'),
        );
    }

    public function test_a_spreadsheet_has_the_sentence_and_the_headings_above(): void
    {
        $path = $this->makeFile('', 'shown.xlsx');
        $query = http_build_query(['list' => 'compare', 'columns' => 'keyword,volume', 'title' => 'All — 3 of 3']);
        file_put_contents($path, $this->get($this->at("exports/list.xlsx?{$query}"))->assertOk()->streamedContent());
        self::assertSame([['All — 3 of 3'], ['keyword', 'volume'], ['ink', 900], ['nib', 100], ['wax', 50]], self::cells($path));
    }

    public function test_what_is_no_column_or_no_order_is_told(): void
    {
        $this->getJson($this->at('exports/list.csv?list=compare&columns=keyword,luck'))->assertStatus(422)
            ->assertJsonPath('detail', 'This list has no column "luck".');
        $this->getJson($this->at('exports/list.csv?list=compare&columns=keyword,priority'))->assertStatus(422);
        $this->getJson($this->at('exports/list.csv?list=pages&columns=topic&sort=luck'))->assertStatus(422);
        $this->getJson($this->at('exports/list.csv?list=compare&columns=keyword&sort=luck'))->assertStatus(422);
        $this->getJson($this->at('exports/list.csv?list=all&columns=keyword'))->assertStatus(422);
        $this->getJson($this->at('exports/list.csv?list=compare&columns=,'))->assertStatus(422);
        $this->getJson($this->at('exports/list.ods?list=compare&columns=keyword'))->assertStatus(404);
    }

    public function test_any_table_is_written_as_it_stands(): void
    {
        $body = ['title' => 'By intent', 'name' => 'groups', 'headings' => ['intent', 'Gain'], 'rows' => [['buy', 12.5], ['@learn', null]]];
        $csv = $this->postJson($this->at('exports/table.csv'), $body)->assertOk();
        self::assertSame("By intent\r\nintent,Gain\r\nbuy,12.5\r\n'@learn,\r\n", $csv->streamedContent());
        self::assertStringContainsString("{$this->study->slug}-groups.csv", (string) $csv->headers->get('Content-Disposition'));
        foreach ([
            ['rows' => [['buy']]],
            ['rows' => [['buy', ['x']]]],
            ['rows' => 'none'],
            ['rows' => ['a' => ['buy', 1]]],
            ['name' => '../x'],
            ['headings' => []],
            ['headings' => [['x'], 'y']],
        ] as $odd) {
            $this->postJson($this->at('exports/table.csv'), [...$body, ...$odd])->assertStatus(422);
        }
    }

    public function test_a_reader_may_write_and_a_stranger_may_not(): void
    {
        $this->actingAs($this->makeEditor($this->study, 'reader'));
        $this->get($this->at('exports/list.csv?list=compare&columns=keyword'))->assertOk();
        $this->postJson($this->at('exports/table.csv'), ['name' => 'x', 'headings' => ['a'], 'rows' => []])->assertOk();
        $this->actingAs($this->makeUser());
        $this->getJson($this->at('exports/list.csv?list=compare&columns=keyword'))->assertNotFound();
        $this->postJson($this->at('exports/table.csv'), ['name' => 'x', 'headings' => ['a'], 'rows' => []])->assertNotFound();
    }

    private function list(string $domain, string $rows): void
    {
        $this->import($this->study, "keyword,position,url\n{$rows}\n", options: ['--domain' => $domain, '--date' => '2026-11-01']);
    }

    private function at(string $path): string
    {
        return "/api/v1/studies/{$this->study->slug}/{$path}";
    }

    /** @param array<string, string> $query */
    private function csv(array $query): string
    {
        return $this->get($this->at('exports/list.csv?'.http_build_query($query)))->assertOk()->streamedContent();
    }

    /** @return list<list<mixed>> */
    private static function cells(string $path): array
    {
        $reader = ReaderEntityFactory::createXLSXReader();
        $reader->open($path);
        $rows = [];
        foreach ($reader->getSheetIterator() as $sheet) {
            self::assertNotNull($sheet);
            foreach ($sheet->getRowIterator() as $row) {
                $rows[] = $row->toArray();
            }
        }
        $reader->close();

        return $rows;
    }
}
