<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use App\Actions\Vocabulary\WriteContract;
use App\Actions\Vocabulary\WriteSentenceTable;
use App\Models\Study;
use App\Support\Catalogue\RowCatalogue;
use App\Support\Sentence\ClauseForm;
use App\Support\Sentence\ClauseKind;
use App\Support\Sentence\Vocabulary;
use Tests\TestCase;

/** Whoever adds a clause is led through every place that has to know it. */
final class VocabularyTest extends TestCase
{
    public function test_every_clause_is_understood_with_every_operator_and_every_value(): void
    {
        $study = $this->compared();
        foreach ($this->kinds() as $kind) {
            foreach ($this->spellings($kind) as $clause) {
                $this->getJson("/api/v1/studies/{$study->slug}/bench?show=".urlencode($clause))->assertOk();
            }
            if ($kind->choices !== []) {
                $this->getJson("/api/v1/studies/{$study->slug}/bench?show=".urlencode($kind->name.'=nothing like it'))->assertStatus(422);
            }
        }
    }

    public function test_a_clause_that_no_vocabulary_has_is_refused(): void
    {
        $study = $this->compared();
        foreach (['nonsense=1', 'standings=gap', 'p9<=3', 'score_fit>=1', 'win_chance>=0.5'] as $clause) {
            $this->getJson("/api/v1/studies/{$study->slug}/bench?show=".urlencode($clause))->assertStatus(422);
        }
    }

    public function test_every_range_of_the_columns_is_a_clause(): void
    {
        $ranges = array_keys(array_filter(Vocabulary::kinds(), static fn(ClauseKind $kind): bool => $kind->form === ClauseForm::Range));
        // The other way round a clause is put to the database with every spelling, above: what finds no column breaks off there.
        self::assertSame([], array_diff(array_keys(RowCatalogue::ranges()), $ranges));
    }

    public function test_what_is_made_from_it_is_current(): void
    {
        foreach (
            [
                WriteSentenceTable::DOCUMENT => app(WriteSentenceTable::class)->into(...),
                WriteContract::DOCUMENT => app(WriteContract::class)->into(...),
            ] as $path => $into
        ) {
            $document = (string) file_get_contents(base_path($path));
            self::assertSame($document, $into($document), 'Run php artisan reach:vocabulary --write.');
        }
    }

    public function test_the_api_gives_it_to_whoever_is_signed_in(): void
    {
        $this->getJson('/api/v1/vocabulary')->assertStatus(401);
        $this->actingAs($this->makeUser())
            ->getJson('/api/v1/vocabulary')
            ->assertOk()
            ->assertJsonPath('clauses.0.name', 'standing')
            ->assertJsonPath('criteria.0.name', 'expected');
    }

    /** @return list<ClauseKind> */
    private function kinds(): array
    {
        return [
            ...array_values(Vocabulary::kinds()),
            Vocabulary::aboutDomain('p', 1, 'inkmoor.example'),
            Vocabulary::aboutDomain('m', 2, 'nibhouse.example'),
            Vocabulary::aboutDomain('m', 0, 'quillfair.example'),
        ];
    }

    /** @return list<string> */
    private function spellings(ClauseKind $kind): array
    {
        preg_match('/^[a-z]+\d*(?:>=|<=|=)(.*)$/sD', explode(';', $kind->example)[0], $part);
        $value = $kind->form === ClauseForm::Position ? '7' : $part[1] ?? '';
        $spellings = [$kind->example, ...($kind->start === '' ? [] : [$kind->start])];
        foreach ($kind->form->operators() as $operator) {
            $spellings[] = $kind->name.$operator.$value;
        }
        foreach (array_keys($kind->choices) as $choice) {
            $spellings[] = "{$kind->name}={$choice}";
        }
        if ($kind->form === ClauseForm::Choices) {
            $spellings[] = $kind->name.'='.implode(',', array_keys($kind->choices));
        }

        return $spellings;
    }

    private function compared(): Study
    {
        $study = $this->makeStudy();
        $this->import(
            $study,
            "keyword,position,url\npen,12,https://quillfair.example/pen\n",
            options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01'],
        );
        $this->import(
            $study,
            "keyword,position,url,volume,difficulty\npen,3,https://inkmoor.example/pens,900,20\n",
            options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01'],
        );
        $this->command('reach:compare', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));

        return $study;
    }
}
