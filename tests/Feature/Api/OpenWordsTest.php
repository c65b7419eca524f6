<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use Tests\TestCase;

final class OpenWordsTest extends TestCase
{
    public function test_words_of_keywords_without_an_intent_are_offered_until_they_are_a_rule(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $keywords = ['ink workshop', 'the nib workshop', 'wax workshop', 'seal inkmoor workshop', 'buy paper', 'how to write the workshop'];
        $list = static fn(int $first): string => "keyword,position\n".implode('', array_map(
            static fn(string $keyword, int $place): string => $keyword.','.($first + $place)."\n",
            $keywords,
            array_keys($keywords),
        ));
        $this->import($study, $list(11), options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, $list(1), options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $path = "/api/v1/studies/{$study->slug}/rulebook";
        $this->getJson("{$path}/open-words")->assertOk()->assertExactJson([['word' => 'workshop', 'keywords' => 4, 'topics' => 4]]);
        $this->patchJson($path, ['settings' => ['intent_learn' => 'workshop']])->assertOk();
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->getJson("{$path}/open-words")->assertOk()->assertExactJson([]);
        $this->getJson('/api/v1/studies/'.$this->makeStudy()->slug.'/rulebook/open-words')->assertForbidden();
    }

    public function test_nothing_is_offered_before_anything_is_compared(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->getJson("/api/v1/studies/{$study->slug}/rulebook/open-words")->assertOk()->assertExactJson([]);
    }
}
