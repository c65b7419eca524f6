<?php

declare(strict_types=1);

namespace Tests\Feature\Api;

use Tests\TestCase;

/** Dated notes, and the days a month that people have. */
final class AnnotationsTest extends TestCase
{
    public function test_notes_are_kept_by_day_and_removed(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study));
        $at = "/api/v1/studies/{$study->slug}/annotations";
        $late = $this->postJson($at, ['day' => '2026-10-12', 'text' => 'Relaunch <b>'])->assertCreated()->json('id');
        $this->postJson($at, ['day' => '2026-09-01', 'text' => 'Search engine update'])->assertCreated();
        self::assertSame(
            ['2026-09-01' => 'Search engine update', '2026-10-12' => 'Relaunch <b>'],
            array_column($this->getJson($at)->assertOk()->json('annotations'), 'text', 'day'),
        );
        $this->postJson($at, ['day' => '2026-02-30', 'text' => 'No such day'])->assertStatus(422);
        $this->postJson($at, ['day' => '2026-02-03', 'text' => str_repeat('x', 201)])->assertStatus(422);
        $this->deleteJson("{$at}/{$late}")->assertOk();
        self::assertCount(1, $this->getJson($at)->json('annotations'));
        $other = $this->makeStudy();
        $this->deleteJson("/api/v1/studies/{$other->slug}/annotations/{$late}")->assertStatus(404);
    }

    public function test_a_reader_sees_notes_and_writes_none(): void
    {
        $study = $this->makeStudy();
        $this->actingAs($this->makeEditor($study, 'reader'));
        $at = "/api/v1/studies/{$study->slug}/annotations";
        $this->getJson($at)->assertOk();
        $this->postJson($at, ['day' => '2026-10-12', 'text' => 'Relaunch'])->assertStatus(403);
    }

    public function test_the_days_of_a_person_stand_beside_what_is_planned_for_them(): void
    {
        $study = $this->makeStudy(['inkmoor.example']);
        $list = "keyword,position,volume,difficulty\nbig pen,12,2000,20\nblue ink,14,500,20\n";
        $this->import($study, $list, options: ['--domain' => 'quillfair.example', '--date' => '2026-11-01']);
        $this->import($study, $list, options: ['--domain' => 'inkmoor.example', '--date' => '2026-11-01']);
        $this->command('reach:weigh', ['slug' => $study->slug]);
        $this->actingAs($this->makeEditor($study));
        $at = "/api/v1/studies/{$study->slug}/plan";
        $this->postJson("{$at}/items", ['topics' => ['big pen', 'blue ink']])->assertCreated();
        foreach ($this->getJson($at)->json('items') as $number => $item) {
            $changes = ['version' => 1, 'month' => '2026-12', 'effort_days' => 3, 'owner' => $number === 0 ? 'Rowan' : ''];
            $this->patchJson("{$at}/items/{$item['id']}", $changes)->assertOk();
        }
        $this->putJson("{$at}/owners", ['owner' => 'Rowan', 'days' => 2.5])->assertOk();
        $this->putJson("{$at}/owners", ['owner' => 'Ash', 'days' => 4])->assertOk();
        self::assertSame([
            ['owner' => 'Ash', 'days' => 4, 'items' => 0, 'loads' => []],
            ['owner' => 'Rowan', 'days' => 2.5, 'items' => 1, 'loads' => ['2026-12' => 3]],
            ['owner' => '', 'days' => null, 'items' => 1, 'loads' => ['2026-12' => 3]],
        ], $this->getJson($at)->assertOk()->json('owners'));
        $this->putJson("{$at}/owners", ['owner' => 'Ash', 'days' => null])->assertOk();
        self::assertSame(['Rowan', ''], array_column($this->getJson($at)->json('owners'), 'owner'));
        $this->putJson("{$at}/owners", ['owner' => 'Ash', 'days' => 32])->assertStatus(422);
    }
}
