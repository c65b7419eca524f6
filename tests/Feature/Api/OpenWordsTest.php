<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use Tests\TestCase;

final class OpenWordsTest extends TestCase
{
    public function test_words_of_keywords_without_an_intent_are_offered_until_they_are_a_rule(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        // Pages of both domains that serve a subject and its workshop make the two one topic.
        foreach (['quillfair.example' => 11, 'inkmoor.example' => 1] as $domain => $first) {
            $rows = "keyword,position,url\nbuy paper,9,https://{$domain}/paper\n";
            foreach (['ink', 'nib', 'wax', 'seal inkmoor'] as $place => $subject) {
                $url = "https://{$domain}/".str_replace(' ', '-', $subject);
                $rows .= "{$subject},".($first + $place).",{$url}\n{$subject} workshop,".($first + $place).",{$url}\n";
            }
            $this->import($study, $rows, options: ['--domain' => $domain, '--date' => '2026-11-01']);
        }
        $words = "keyword,volume\nink,900\nnib,800\nwax,700\nseal inkmoor,600\nbuy paper,50\n";
        $this->import($study, $words."ink workshop,90\nnib workshop,80\nwax workshop,70\nseal inkmoor workshop,60\n", 'keywords');
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $path = "/api/v1/studies/{$study->slug}/rulebook";
        $this->getJson("{$path}/open-words")->assertOk()->assertExactJson([['word' => 'workshop', 'keywords' => 4, 'topics' => 4]]);
        $this->patchJson($path, ['settings' => ['intent_learn' => 'workshop']])->assertOk();
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->getJson("{$path}/open-words")->assertOk()->assertExactJson([]);
        $this->getJson('/api/v1/studies/'.$this->makeStudy()->slug.'/rulebook/open-words')->assertNotFound();
    }

    public function test_nothing_is_offered_before_anything_is_compared(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $this->getJson("/api/v1/studies/{$study->slug}/rulebook/open-words")->assertOk()->assertExactJson([]);
    }
}
