<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;

/** The main job, as a newcomer does it: sign in, import two files, compare, narrow, shortlist, export. */
final class FirstRoundTest extends BrowserTestCase
{
    private const OURS = "What we track;rank;url;search volume;kd\nfountain pen;12;https://quillfair.example/pens;1000;20\nink "
        ."bottle;8;https://quillfair.example/ink;400;35\n";
    private const THEIRS = "keyword,position,url,volume,difficulty\nfountain pen,3,https://inkmoor.example/pens,1000,20\nblotting "
        ."paper,5,https://inkmoor.example/paper,250,12\nink moor pens,1,https://inkmoor.example/,300,5\nsealing "
        ."wax,9,https://inkmoor.example/wax,90,8\n";

    public function test_two_files_become_a_shortlist_and_an_export(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $editor = $this->makeEditor($study);
        $this->signIn($editor->email, 'correct horse');
        $this->clickText('Pens', 'a');
        $this->see('Import files');

        $this->bringIn('rankings-quillfair.example-2026-11-01.csv', self::OURS, 'keyword', 'What we track');
        $this->bringIn('rankings-inkmoor.example-2026-11-01.csv', self::THEIRS);

        $this->visit("/studies/{$study->slug}/compare");
        $this->see('4 of 5');
        self::assertSame(['fountain pen', 'ink bottle', 'blotting paper', 'sealing wax'], $this->keywords());

        $this->narrowToGapsFromVolume100();
        $this->see('1 of 5');
        self::assertSame(['blotting paper'], $this->keywords());

        $this->press('j');
        $this->press('s');
        $this->await(
            fn(): ?bool => DB::table('decisions')
                ->where('study_id', $study->id)
                ->where('mark', 'shortlisted')
                ->where('keyword', 'blotting paper')
                ->exists() ?:
            null,
            'The keyword was not shortlisted.',
        );
        $this->see('Enter saves it');
        $this->press(WebDriverKeys::ESCAPE);
        $this->press(WebDriverKeys::ENTER);
        $this->see('On the shortlist');
        $this->see('inkmoor.example');

        // In a narrow window the dossier lies over everything.
        $this->press(WebDriverKeys::ESCAPE);
        $this->clickText('Export CSV', 'a');
        $exported = $this->await(fn(): ?string => glob($this->downloads.'/*.csv')[0] ?? null, 'Nothing was downloaded.');
        self::assertSame(
            "keyword,standing,own_position,own_url,best_competitor,best_position,competitors_ranking,competitors_above,"
                ."volume,difficulty,cpc,movement,inkmoor.example\r\nblotting paper,gap,,,inkmoor.example,5,1,1,250,12,,,5\r\n",
            (string) file_get_contents($exported),
        );
    }

    public function test_bad_rows_are_shown_where_they_are_and_nothing_is_kept(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        $this->choose('rankings-inkmoor.example.csv', "keyword,position\npen,3\nnib,first\n");
        $this->see('1 bad row. Nothing is imported');
        $this->see('isn’t a whole number');
        self::assertNotNull($this->findText('Import', 'button')->getAttribute('disabled'));
        $this->clickText('Skip bad rows', 'button');
        $this->see('1 rows to keep');
    }

    public function test_the_weights_reorder_the_list_and_every_priority_shows_its_parts(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,volume,difficulty\nbig and hard,50,9000,80\nsmall and easy,50,60,5\n",
            options: ['--domain' => 'quillfair.example'],
        );
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->signIn($this->makeEditor($study, 'reader')->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/weigh?view=list&weights=volume:1");
        $this->see('5.00');
        self::assertSame(['big and hard', 'small and easy'], $this->keywords());
        $this->visit("/studies/{$study->slug}/weigh?view=list&weights=ease:1");
        $this->see('5.00');
        self::assertSame(['small and easy', 'big and hard'], $this->keywords());
        $this->find('[aria-label="ease 5 of 5"]');
    }

    public function test_question_mark_lists_the_keys_and_digits_go_to_the_stages(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/gather");
        $this->see('Import files');
        $this->press('?');
        $this->see('undo the last decision');
        $this->clickText('Close', 'button');
        $this->seeNot('undo the last decision');
        $this->press('2');
        $this->see('Nothing to compare yet');
        $this->press('4');
        $this->see('Nothing to plan yet');
    }

    private function bringIn(string $name, string $content, ?string $field = null, ?string $header = null): void
    {
        $this->choose($name, $content);
        if ($field !== null) {
            $this->see('no column for');
            $this->click('[aria-label="Field of column '.$header.'"]');
            $this->clickText($field.' (required)', 'li');
        }
        $this->see('rows to keep');
        $this->await(
            fn(): ?bool => $this->findText('Import', 'button')->getAttribute('disabled') === null ?: null,
            'The file cannot be imported.',
        );
        $this->clickText('Import', 'button');
        $this->seeNot('rows to keep');
        $this->see($name);
    }

    private function choose(string $name, string $content): void
    {
        $path = $this->downloads.'/'.$name.'.txt';
        file_put_contents($path, $content);
        $renamed = \dirname($path).'/files';
        is_dir($renamed) || mkdir($renamed);
        rename($path, $renamed.'/'.$name);
        $this->find('[data-testid="file"]')->sendKeys($renamed.'/'.$name);
    }

    private function narrowToGapsFromVolume100(): void
    {
        $this->click('#add-clause');
        $this->clickText('Standing', 'li');
        $this->clickText('Done', 'button');
        $this->see('that are gaps');
        $this->seeNot('Done');
        $this->click('#add-clause');
        $this->clickText('Volume', 'li');
        $this->clickText('Done', 'button');
        $this->see('volume from 100');
        $this->seeNot('Done');
    }
}
