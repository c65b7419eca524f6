<?php

declare(strict_types=1);

namespace Tests\Feature\Imports;

use App\Models\Study;
use Illuminate\Support\Facades\DB;
use Tests\TestCase;

/** Who links to whom, and whom to ask for a link. */
final class LinksTest extends TestCase
{
    private Study $study;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(['inkmoor.example', 'nibhouse.example']);
        $lists = [
            'quillfair.example' => "fountain pen,12,https://quillfair.example/pens,1000,20\n",
            'inkmoor.example' => "fountain pen,3,https://inkmoor.example/pens,1000,20\n"
                ."best fountain pen,2,https://inkmoor.example/pens,500,18\n",
            'nibhouse.example' => "fountain pen,5,https://nibhouse.example/a,1000,20\n"
                ."best fountain pen,1,https://nibhouse.example/best,500,18\n",
        ];
        foreach ($lists as $domain => $rows) {
            $options = ['--domain' => $domain, '--date' => '2026-11-01'];
            $this->import($this->study, "keyword,position,url,volume,difficulty\n".$rows, options: $options);
        }
        $this->import(
            $this->study,
            "keyword,position,url\nfountain pen,1,https://magazine.example/pens\nfountain pen,2,https://quillfair.example/pens\n",
            'results',
            ['--date' => '2026-11-01'],
        );
    }

    public function test_a_file_of_links_is_kept_by_registrable_domain_and_taken_back(): void
    {
        $printed = $this->import(
            $this->study,
            "Linking domain,Target URL,Authority,Anchor text,Date\n"
                ."www.Hobby.example,HTTPS://inkmoor.example/pens#top,34.5,good pens,2026-10-01\n"
                ."https://club.example/links,https://inkmoor.example/pens,,,\n",
            'links',
            ['--date' => '2026-11-02'],
        );
        self::assertStringContainsString('2 links were kept.', $printed);
        $kept = DB::table('links')
            ->where('study_id', $this->study->id)
            ->orderBy('domain')
            ->get(['domain', 'target_url', 'authority', 'anchor', 'day']);
        self::assertEquals([
            ['club.example', 'https://inkmoor.example/pens', null, null, '2026-11-02'],
            ['hobby.example', 'https://inkmoor.example/pens', 34.5, 'good pens', '2026-10-01'],
        ], $kept->map(static fn(\stdClass $row): array => array_values((array) $row))->all());
        $this->actingAs($this->makeEditor($this->study));
        $import = DB::table('imports')->where('study_id', $this->study->id)->where('kind', 'links')->value('id');
        $this->deleteJson("/api/v1/studies/{$this->study->slug}/imports/{$import}")->assertSuccessful();
        self::assertSame(0, DB::table('links')->where('study_id', $this->study->id)->count());
    }

    public function test_a_link_from_nowhere_or_to_nothing_is_a_bad_row(): void
    {
        $file = $this->makeFile("linking_domain,target_url\nlocalhost,https://inkmoor.example/pens\nhobby.example,no address\n");
        [$code, $told] = $this->command('reach:import', ['slug' => $this->study->slug, 'file' => $file, '--kind' => 'links']);
        self::assertSame(1, $code);
        self::assertStringContainsString('line 2', $told);
        self::assertStringContainsString('linking_domain', $told);
        self::assertSame(0, DB::table('links')->where('study_id', $this->study->id)->count());
        $file = $this->makeFile("domain\na.example\n");
        [$code, $told] = $this->command('reach:import', ['slug' => $this->study->slug, 'file' => $file, '--kind' => 'links']);
        self::assertSame(1, $code);
        self::assertStringContainsString('linking_domain', $told);
    }

    public function test_a_brief_names_whom_to_ask_by_the_newest_list_of_each_page(): void
    {
        $this->import(
            $this->study,
            "linking_domain,target_url,authority\nold.example,https://inkmoor.example/pens,90\n"
                ."friend.example,https://quillfair.example/pens,20\n"
                ."former.example,https://quillfair.example/old,20\n",
            'links',
            ['--date' => '2026-10-01'],
        );
        $this->import(
            $this->study,
            "linking_domain,target_url,authority\nhobby.example,https://inkmoor.example/pens,40\n"
                ."friend.example,https://inkmoor.example/pens,20\n"
                ."hobby.example,https://magazine.example/pens,40\nclub.example,https://nibhouse.example/best,60\n"
                ."nibhouse.example,https://inkmoor.example/pens,70\nelse.example,https://inkmoor.example/other,99\n",
            'links',
            ['--date' => '2026-11-01'],
        );
        $this->command('reach:weigh', ['slug' => $this->study->slug]);
        $this->actingAs($this->makeEditor($this->study));
        $path = "/api/v1/studies/{$this->study->slug}/plan/items";
        $this->postJson($path, ['keywords' => ['fountain pen']])->assertCreated();
        $item = DB::table('plan_items')->where('study_id', $this->study->id)->value('id');
        $brief = $this->getJson("{$path}/{$item}/brief")->assertOk()->json();
        // The first is replaced in the newer list, friend links to us already, nibhouse is compared; each keyword's leading page counts.
        self::assertSame([
            ['domain' => 'hobby.example', 'authority' => 40, 'pages' => ['https://inkmoor.example/pens', 'https://magazine.example/pens']],
            ['domain' => 'club.example', 'authority' => 60, 'pages' => ['https://nibhouse.example/best']],
        ], $brief['prospects']);
        foreach (['md', 'html'] as $format) {
            $document = $this->get("{$path}/{$item}/brief.{$format}")->assertOk();
            $text = $document->baseResponse instanceof \Symfony\Component\HttpFoundation\StreamedResponse
                ? $document->streamedContent()
                : (string) $document->getContent();
            self::assertStringContainsString('hobby.example (authority 40) links to 2 of the leading pages', $text);
        }
    }
}
