<?php

declare(strict_types=1);

namespace Tests\Browser;

use App\Actions\Comparisons\ComparisonOptions;
use App\Actions\Comparisons\EnsureComparison;
use App\Models\Study;
use Facebook\WebDriver\Interactions\WebDriverActions;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;

/** Weights, groups, map, topics and the reasons behind, as a person meets them. */
final class WeighTest extends BrowserTestCase
{
    public function test_weights_move_the_order_and_every_figure_says_why(): void
    {
        $this->opened('weigh?view=list');
        $this->await(fn(): ?bool => $this->keywords() === ['big pen', 'dear nib', 'how to ink'] ?: null, 'The plain order is another.');
        $this->clickText('swift', 'button');
        $this->await(fn(): ?bool => $this->keywords() === ['dear nib', 'how to ink', 'big pen'] ?: null, 'Ease did not move the order.');
        $this->press('d');
        $this->await(fn(): ?bool => $this->keywords()[0] === 'big pen' ?: null, 'Without difficulty the larger one should lead.');
        $this->find('[aria-label="Name for these weights"]')->sendKeys('no hurry'.WebDriverKeys::ENTER);
        $this->clickText('plain', 'button');
        $this->clickText('no hurry', 'button');
        $this->see('no hurry');
        $this->click('[data-keyword="big pen"]');
        $this->see('Sources of the figures');
        $fits = 'const list = document.querySelector("[role=table]"); return list.scrollWidth <= list.clientWidth;';
        $this->await(fn(): ?bool => $this->browser->executeScript($fits) === true ?: null, 'Beside the dossier columns are cut off.');
    }

    public function test_pages_open_in_place_and_are_shortlisted_and_set_aside_whole(): void
    {
        $study = $this->opened('weigh');
        $this->see('Page for');
        $first = $this->await(
            fn(): ?string => str_starts_with($this->keywords()[0] ?? '', 'page ') ? substr($this->keywords()[0], 5) : null,
            'There are no pages.',
        );
        $pages = \count($this->keywords());
        $this->press('j'.WebDriverKeys::ENTER);
        $open = $this->await(
            function () use ($pages): ?array {
                $lines = $this->keywords();

                return \count($lines) > $pages ? \array_slice($lines, 1, \count($lines) - $pages) : null;
            },
            'The page did not open into its keywords.',
        );
        $marked = static fn(string $mark): array => DB::table('decisions')
            ->where('study_id', $study->id)
            ->where('mark', $mark)
            ->orderBy('keyword')
            ->pluck('keyword')
            ->all();
        sort($open);
        $this->press('s');
        $this->await(static fn(): ?bool => $marked('shortlisted') === $open ?: null, 'Not all its keywords were shortlisted.');
        $this->see('all '.\count($open));
        $this->press('x');
        $this->await(fn(): ?bool => ! \in_array('page '.$first, $this->keywords(), true) ?: null, 'Set aside whole it is still listed.');
        $this->press('u');
        $this->await(fn(): ?bool => \in_array('page '.$first, $this->keywords(), true) ?: null, 'It did not come back.');
        self::assertSame($open, $marked('shortlisted'), 'One press takes one decision back.');
        $this->press('g');
        $this->see('pportunities');
        $this->await(fn(): ?bool => \in_array($open[0], $this->keywords(), true) ?: null, 'The keywords are not listed.');
    }

    public function test_the_map_is_gone_through_by_keys(): void
    {
        $study = $this->opened('weigh?view=map');
        $this->find('[data-point="big pen"]');
        $this->press('jv');
        $this->clickText('Shortlist 1', 'button');
        $this->await(
            static fn(): ?bool => DB::table('decisions')->where(['study_id' => $study->id, 'mark' => 'shortlisted'])->exists() ?: null,
            'Nothing was shortlisted.',
        );
        $this->press('k'.WebDriverKeys::ENTER);
        $this->see('Sources of the figures');
    }

    public function test_what_is_shown_is_saved_as_it_is_shown(): void
    {
        $study = $this->opened('weigh?view=list');
        $this->await(fn(): ?bool => \in_array('big pen', $this->keywords(), true) ?: null, 'The keywords are not listed.');
        $this->click('#export-menu');
        $this->clickText('Reason', 'label');
        $this->click('[role=dialog] a[href*="list.csv"]');
        $lines = $this->saved("{$study->slug}-weigh-as-shown.csv");
        self::assertMatchesRegularExpression('/^"?(All o|O)pportunities /', $lines[0]);
        // A narrow window has fewer columns.
        self::assertStringStartsWith('rank,mark,keyword,priority,'.($this->isWide() ? 'own_position,target,volume' : 'gain'), $lines[1]);
        self::assertStringEndsWith(',reason', $lines[1]);
        self::assertCount(2 + \count($this->keywords()), $lines);
        $this->visit("/studies/{$study->slug}/weigh?view=groups");
        $this->see('by topic');
        $this->find('table');
        $this->click('#export-menu');
        $this->clickText('The sentence as the first line', 'label');
        $this->clickText('CSV', 'button');
        $lines = $this->saved("{$study->slug}-groups.csv");
        self::assertStringStartsWith('Topic,Keywords,Volume', $lines[0]);
        self::assertStringContainsString('big pen', implode("\n", $lines));
    }

    /** @return list<string> lines of a file that the browser saved */
    private function saved(string $name): array
    {
        $path = $this->downloads.'/'.$name;
        $this->await(static fn(): ?bool => is_file($path) && filesize($path) > 0 ?: null, "{$name} was not saved.");

        return explode("\r\n", trim((string) file_get_contents($path)));
    }

    public function test_a_line_round_areas_of_the_map_shortlists_them(): void
    {
        $study = $this->opened('weigh?view=map');
        $this->see('Size: volume');
        $point = $this->find('[data-point="big pen"]');
        $this->browser->executeScript('arguments[0].scrollIntoView({ block: "center" })', [$point]);
        $actions = new WebDriverActions($this->browser);
        $actions
            ->moveToElement($point, -45, -16)
            ->clickAndHold()
            ->moveByOffset(90, 0)
            ->moveByOffset(0, 60)
            ->moveByOffset(-90, 0)
            ->moveByOffset(0, -40)
            ->release()
            ->perform();
        $this->clickText('Shortlist 1', 'button');
        $marked = $this->await(
            static fn(): ?string => DB::table('decisions')->where('study_id', $study->id)->where('mark', 'shortlisted')->value('keyword'),
            'Nothing was shortlisted.',
        );
        self::assertSame('big pen', $marked);
        $this->clickText('Shortlist', 'button');
        $this->see('1 keyword shortlisted');
        $this->see('no reason given');
        $this->click('[aria-label="Remove big pen from the shortlist"]');
        $this->see('Nothing is shortlisted yet');
    }

    public function test_groups_open_and_topics_are_joined(): void
    {
        $study = $this->opened('weigh?view=groups');
        $this->clickText('by stage', 'button');
        $this->see('The stage with the fewest opportunities is');
        $this->clickText('by topic', 'button');
        $this->click('[aria-label="Rename dear nib or merge it"]');
        $field = $this->find('[aria-label="Name of the topic"]');
        $field->sendKeys(WebDriverKeys::CONTROL.'a'.WebDriverKeys::NULL.'big pen');
        $this->clickText('Join', 'button');
        $this->await(
            static fn(): ?bool => DB::table('comparison_rows')
                ->where('study_id', $study->id)
                ->where('keyword', 'dear nib')
                ->value('topic') === 'big pen' ?:
            null,
            'The topics were not joined.',
        );
        $this->clickText('by tactic', 'button');
        $this->clickText('extend page', 'button');
        $this->await(fn(): ?bool => $this->keywords() === ['dear nib'] ?: null, 'The group did not open into its rows.');
    }

    public function test_the_model_says_when_not_to_trust_it(): void
    {
        $this->opened('weigh?view=model');
        $this->see('the model needs two hundred');
        $this->see('Limits');
        $this->see('Calibration');
        $this->clickText('Top 3', 'button');
        $this->see('None of our improved pages has had its full ramp yet.');
    }

    public function test_the_dossier_tells_the_places_and_why_the_chance_is_what_it_is_and_headings_sort(): void
    {
        $this->opened('weigh?view=list&keyword=big+pen&dossier=open');
        $this->see('Chances by position');
        $this->see('for position 3 or better');
        $this->click('[aria-label="Why Win chance?"]');
        $this->see('We already rank at 12');
        $this->find('[aria-label^="Chance of each position range"][aria-label*=", where we are;"]');
        $this->click('[aria-label="Why Priority, 0–5?"]');
        $this->see('The weighted mean of the scores that are known.');
        // Beside the dossier there is room for few columns.
        if (! $this->isWide(1200)) {
            return;
        }
        $this->clickText('Difficulty', 'button');
        $this->await(fn(): ?bool => $this->keywords() === ['dear nib', 'how to ink', 'big pen'] ?: null, 'The easiest is not first.');
        $this->clickText('Difficulty', 'button');
        $this->await(fn(): ?bool => $this->keywords()[0] === 'big pen' ?: null, 'The hardest is not first.');
    }

    private function opened(string $view): Study
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $this->import(
            $study,
            "keyword,position,url\nbig pen,12,https://quillfair.example/pen\nhow to ink,3,https://quillfair.example/ink\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position\nbig pen,3\ndear nib,4\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->import($study, "keyword,volume,difficulty\nbig pen,2000,60\ndear nib,90,5\nhow to ink,200,30\n", 'keywords');
        app(EnsureComparison::class)->execute(ComparisonOptions::shownBy($study->refresh()));
        $this->signIn($this->makeEditor($study)->email, 'correct horse');
        $this->visit("/studies/{$study->slug}/{$view}");

        return $study;
    }
}
