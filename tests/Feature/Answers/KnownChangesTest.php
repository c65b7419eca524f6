<?php

declare(strict_types=1);

namespace Tests\Feature\Answers;

use App\Models\Domain;
use App\Models\PlanItem;
use App\Models\User;
use Illuminate\Http\UploadedFile;

/** What each order is answered, the refused ones too, and how things stand after it. */
final class KnownChangesTest extends AnswersCase
{
    private User $editor;

    protected function setUp(): void
    {
        parent::setUp();
        $this->study = $this->makeStudy(MadeMarket::RIVALS, MadeMarket::OWN);
        $this->editor = $this->makeUser(true);
        $this->study->members()->attach($this->editor->id, ['role' => 'editor']);
        $this->secrets = [$this->study->slug, $this->editor->email, $this->editor->name];
        $this->actingAs($this->editor);
    }

    private function compare(): void
    {
        foreach (MadeMarket::files() as [$kind, $content, $options]) {
            if ($kind !== 'rankings' || $options['--date'] >= '2026-10-01') {
                $this->import($this->study, $content, $kind, $options);
            }
        }
        $this->command('reach:compare', ['slug' => $this->study->slug]);
        $this->study->refresh();
    }

    public function test_studies_are_made_and_changed(): void
    {
        $slug = 'waxwing-'.getmypid();
        $this->secrets[] = $slug;
        $this->begin('change-studies');
        $made = ['slug' => $slug, 'name' => 'Wax', 'domain' => 'waxwing.example', 'competitors' => ['inkmoor.example']];
        foreach ([
            ['slug' => 'Wax Wing'], ['slug' => str_repeat('a', 64)], ['name' => ' '], ['name' => str_repeat('n', 201)], ['country' => 'ZZ'],
            ['country' => 'G'], ['language' => 'zz'], ['language' => 'eng'], ['device' => 'watch'], ['as_of' => '2026-13-01'],
            ['domain' => 'localhost'], ['domain' => ''], ['competitors' => ['inkmoor.example', 'www.inkmoor.example']],
            ['competitors' => array_map(static fn(int $number): string => "rival-{$number}.example", range(1, 11))],
        ] as $wrong) {
            $this->tell('POST', '/studies', [...$made, ...$wrong]);
        }
        $this->tell('POST', '/studies', [...$made, 'name' => str_repeat('n', 200), 'country' => 'us', 'language' => 'EN']);
        foreach ([
            ['name' => 'Wax and more', 'device' => 'mobile'], ['country' => 'CH'], ['country' => 'FR'], ['as_of' => '2026-11-01'],
            ['competitors' => array_map(static fn(int $number): string => "rival-{$number}.example", range(1, 10))],
            ['competitors' => ['inkmoor.example/pens', 'rival-3.example']], ['competitors' => []], ['as_of' => ''],
        ] as $change) {
            $this->tell('PATCH', "/studies/{$slug}", $change);
        }
        $this->tell('DELETE', "/studies/{$slug}", ['name' => 'Wax']);
        $this->tell('DELETE', "/studies/{$slug}", ['name' => 'Wax and more']);
        $this->tell('POST', '/studies', $made);
        $this->tell('POST', "/deleted-studies/{$slug}/restore");
        $this->tell('GET', "/studies/{$slug}");
        $this->book->check();
    }

    public function test_domains_come_and_go(): void
    {
        $this->compare();
        $this->begin('change-domains');
        $this->tell('POST', 'domains', ['domains' => "waxwing.example\n\nletters.example\nhttps://www.inkmoor.example/\n"]);
        $this->tell('POST', 'domains', ['domains' => "fine.example\nno domain"]);
        $this->tell('POST', 'domains', ['domains' => "\n\n"]);
        $this->tell('POST', 'domains', [
            'domains' => implode("\n", array_map(static fn(int $number): string => "d{$number}.example", range(1, 501))),
        ]);
        $own = Domain::query()->where('study_id', $this->study->id)->where('entry', MadeMarket::OWN)->firstOrFail();
        $other = Domain::query()->where('study_id', $this->study->id)->where('entry', 'letters.example')->firstOrFail();
        $this->tell('PATCH', "domains/{$own->id}", ['brand_terms' => ['Quill Fair', ' quillfair ', 'Quill  Fair']]);
        $this->tell('PATCH', "domains/{$own->id}", ['brand_terms' => [str_repeat('q', 101)]]);
        $this->tell('DELETE', "domains/{$own->id}");
        $this->tell('DELETE', "domains/{$other->id}");
        $this->tell('PATCH', '', ['domain' => MadeMarket::OWN.'/guides', 'competitors' => [MadeMarket::RIVALS[0]]]);
        $this->tell('GET', 'domains');
        $this->tell('PATCH', '', ['domain' => MadeMarket::OWN, 'competitors' => MadeMarket::RIVALS]);
        $this->tell('GET', 'domains');
        $this->tell('GET', 'candidates');
        $this->book->check();
    }

    public function test_files_are_looked_at_brought_in_and_taken_back(): void
    {
        $this->begin('change-imports');
        $files = [
            'list.csv' => "keyword,position,url,volume\npen,3,https://quillfair.example/pens,900\nink,101,,\nnib,0,,\n,4,,\nwax,4.5,,\n",
            'list.tsv' => "Search term\tRank\tSearch volume\tDate\npen\t3\t1,900\t2026-11-01\nink\t7\t20\t01.11.2026\n",
            'keywords.csv' => "keyword;volume;difficulty\npen;90;30\nink;;101\n",
            'pages.json' => '[{"keyword":"pen","position":1,"url":"https://inkmoor.example/"},{"keyword":"ink","position":"x"}]',
            'performance.csv' => "query,clicks,impressions,position\npen,3,9,2.5\nink,9,3,1\n",
            'domains.csv' => "domain,authority,brand_terms\nquillfair.example,40,quill fair; fair pens\nlocalhost,3,\n",
            'links.csv' => "linking_domain,target_url,authority\nclub.example,https://inkmoor.example/,40\nclub.example,nowhere,\n",
            'empty.csv' => '',
            'heads.csv' => "keyword,position\n",
            'strange.csv' => "a,b\n1,2\n",
        ];
        foreach ($files as $name => $content) {
            $told = $this->post($this->at('uploads'), ['file' => UploadedFile::fake()->createWithContent($name, $content)])->json();
            $this->book->add("upload {$name}", $told);
            if (! isset($told['id'])) {
                continue;
            }
            $order = ['kind' => $told['proposal']['kind'], 'domain' => MadeMarket::OWN, 'date' => '2026-11-01'];
            foreach (['imports/preview' => 0, 'imports' => 0, 'imports ' => 9] as $path => $errors) {
                $task = $this->postJson($this->at(trim($path)), ['upload' => $told['id'], ...$order, 'allow_errors' => $errors])->json();
                $this->book->add("{$path} of {$name}", $task);
            }
        }
        $imports = $this->tell('GET', 'imports');
        foreach (array_column($imports, 'id') as $id) {
            $this->tell('DELETE', "imports/{$id}");
        }
        $this->tell('GET', 'imports');
        $this->tell('GET', 'domains');
        $this->tell('GET', 'tasks');
        $this->book->check();
    }

    public function test_rules_are_tried_changed_and_taken_back(): void
    {
        $this->compare();
        $this->begin('change-rules');
        foreach ([
            ['moving_share' => '.3'], ['moving_share' => '2'], ['luck' => '1'], ['w_gain' => '3', 'w_ease' => '0'], ['win_horizon' => '12'],
            ['scores' => 'stepped'], ['scores' => 'odd'], ['feature_clicks' => 'answer:.5'], ['feature_clicks' => 'answer'],
            ['weights' => 'gain:2,ease:1'], ['model_lambda' => '5'], ['negatives' => "cheap\nused"],
        ] as $settings) {
            $this->tell('POST', 'rulebook/preview', ['settings' => $settings]);
            $told = $this->patchJson($this->at('rulebook'), ['settings' => $settings]);
            $changed = array_filter((array) $told->json(), static fn(mixed $rule): bool => ! \is_array($rule) || self::isOwn($rule));
            $this->book->add('rules '.json_encode($settings, JSON_THROW_ON_ERROR), $changed);
        }
        $history = $this->tell('GET', 'rulebook/history');
        foreach (array_slice(array_column($history, 'change'), 0, 2) as $change) {
            $this->book->add('revert', $this->postJson($this->at('rulebook/revert'), ['change' => $change])->json());
        }
        $this->tell('GET', 'rulebook/history');
        $this->tell('GET', 'rulebook');
        $this->tell('GET', 'opportunities');
        $this->book->check();
    }

    /** @param array<mixed> $rule */
    private static function isOwn(array $rule): bool
    {
        return ($rule['value'] ?? null) !== ($rule['default'] ?? null);
    }

    public function test_words_become_keywords(): void
    {
        $this->compare();
        $this->begin('change-words');
        $text = 'A fountain pen is a pen with ink inside. Clean the nib of a fountain pen with water; a clean nib writes. '
            .'The fountain pen of 1910!';
        $this->tell('POST', 'terms', ['text' => $text]);
        $this->tell('POST', 'terms', ['text' => $text, 'from_words' => 2, 'to_words' => 3, 'occurrences' => 2, 'top' => 5]);
        $this->tell('POST', 'terms', ['text' => $text, 'from_words' => 3, 'to_words' => 2]);
        $this->tell('POST', 'terms', ['text' => $text, 'letters' => 6, 'top' => 3]);
        $this->tell('POST', 'keywords', ['keywords' => "Fountain  Pen\npen wiper\npen wiper\n\n", 'origin' => 'by hand']);
        $this->tell('POST', 'keywords', ['keywords' => "pen wiper\nink blotter", 'origin' => 'by hand']);
        $this->tell('POST', 'keywords', ['keywords' => "fine\n".str_repeat('long ', 60), 'origin' => 'by hand']);
        $this->tell('POST', 'keywords', ['keywords' => "pen\n", 'origin' => 'by hand', 'source' => 'none']);
        $this->tell('GET', 'imports');
        $this->tell('GET', 'keyword?keyword=pen wiper');
        $this->book->check();
    }

    public function test_decisions_are_made_and_undone(): void
    {
        $this->compare();
        $this->begin('change-decisions');
        $changes = [];
        foreach ([
            ['keywords' => ['best nib', 'Best  Ink'], 'mark' => 'shortlisted', 'reason' => 'soon'],
            ['keywords' => ['best nib'], 'mark' => 'set aside'], ['keywords' => ['best nib'], 'mark' => 'liked'],
            ['keywords' => ['best nib'], 'fit' => 5], ['keywords' => ['best nib'], 'fit' => 6], ['keywords' => ['best nib'], 'note' => 'n'],
            ['topics' => ['vintage pen'], 'tag' => 'spring'], ['topics' => ['vintage pen'], 'untag' => 'spring'], ['keywords' => []],
            ['show' => 'standing=gap;volume>=2000', 'tag' => 'large'], ['show' => '', 'list' => 'weigh', 'tag' => 'all'],
            ['show' => '', 'by' => 'horizon', 'groups' => ['quick win'], 'mark' => 'shortlisted'],
            ['keywords' => ['not there'], 'fit' => 2],
        ] as $order) {
            $told = $this->tell('POST', 'decisions', $order);
            $changes[] = $told['change'] ?? null;
        }
        $this->tell('GET', 'tags');
        $this->tell('GET', 'reasons');
        foreach (array_reverse(array_filter($changes)) as $change) {
            $this->book->add('undo', $this->postJson($this->at('decisions/undo'), ['change' => $change])->json());
        }
        $this->tell('GET', 'tags');
        $this->tell('GET', 'keyword?keyword=best nib');
        $this->book->check();
    }

    public function test_the_roadmap_is_laid_changed_and_undone(): void
    {
        $this->compare();
        $this->begin('change-plan');
        $this->tell('PATCH', 'plan', ['start' => '2026-12', 'months' => 4, 'capacity' => 6]);
        foreach ([['months' => 0], ['months' => 37], ['capacity' => 0], ['capacity' => 201], ['start' => '2026-13']] as $wrong) {
            $this->tell('PATCH', 'plan', $wrong);
        }
        $changes = $this->tell('GET', 'plan/proposal')['changes'];
        $change = $this->tell('POST', 'plan/apply', ['changes' => $changes])['change'] ?? 0;
        $this->tell('GET', 'plan');
        $this->book->add('undo', $this->postJson($this->at('plan/undo'), ['change' => $change])->json());
        $this->tell('POST', 'plan/items', ['topics' => ['vintage pen', 'best nib'], 'keywords' => ['cheap paper']]);
        $this->tell('POST', 'plan/items', ['topics' => ['not there']]);
        $this->tell('POST', 'plan/items', ['topics' => ['vintage pen']]);
        $this->workOn('vintage pen');
        $this->tell('GET', 'plan/proposal');
        $draft = $this->tell('POST', 'plan/drafts', ['name' => 'other'])['id'];
        $this->tell('POST', 'plan/drafts', ['name' => 'other']);
        $this->tell('PATCH', "plan/drafts/{$draft}", ['version' => 1, 'start' => '2027-01', 'months' => 3, 'capacity' => 4]);
        $this->book->add('the proposal of the draft', $this->getJson($this->at("plan/proposal?draft={$draft}"))->json());
        $this->tell('POST', "plan/drafts/{$draft}/agree");
        $this->tell('GET', 'plan/goal?goal=100&until=2027-06');
        $this->tell('GET', 'plan/goal?goal=90000&until=2027-06');
        $this->tell('GET', 'plan/goal?goal=0&until=2026-06');
        $this->tell('POST', 'plan/goal', ['goal' => 100, 'until' => '2027-06', 'name' => 'goal']);
        $this->tell('GET', 'plan');
        $this->tell('GET', 'track');
        foreach ([
            'limit=6', 'outcome=refused&limit=3', 'outcome=done&action=DRAFT', 'from=2099-01-01', 'from=2000-01-01&to=2001-01-01',
        ] as $asked) {
            $this->tell('GET', "/audit?study={$this->study->slug}&{$asked}");
        }
        $next = $this->getJson("/api/v1/audit?study={$this->study->slug}&limit=2")->json('next');
        $lines = $this->getJson("/api/v1/audit?study={$this->study->slug}&limit=2&before={$next}")->json('lines');
        $this->book->add('audit, the next page', $lines);
        $this->book->check();
    }

    private function workOn(string $name): void
    {
        $item = PlanItem::of($this->study)->where('name', $name)->firstOrFail();
        $version = $item->version;
        foreach ([
            ['month' => '2026-12', 'owner' => 'Wren', 'due' => '2026-12-24'],
            ['effort_days' => 2.5], ['effort_days' => 0], ['owner' => ' '],
            ['due' => '2026-02-30'], ['is_pinned' => true], ['status' => 'begun'], ['status' => 'writing'], ['status' => 'published'],
            ['status' => 'done'], ['month' => '2027-01'], ['done_month' => '2026-10'], ['status' => 'published', 'month' => '2027-01'],
            ['brief' => ['heading' => 'All of it']],
        ] as $change) {
            $told = $this->tell('PATCH', "plan/items/{$item->id}", ['version' => $version, ...$change]);
            $version = $told['version'] ?? $version;
        }
        $this->tell('PATCH', "plan/items/{$item->id}", ['version' => 1, 'owner' => 'Rowan']);
        $this->tell('GET', "plan/items/{$item->id}/brief");
        $this->tell('POST', "plan/items/{$item->id}/links", ['days' => 0]);
    }

    public function test_people_come_and_go(): void
    {
        $mark = (string) getmypid();
        $this->secrets[] = $mark;
        $this->begin('change-people');
        $wren = ['email' => "scribe-{$mark}@quillfair.example", 'name' => 'Wren'];
        foreach ([
            $wren, $wren, [...$wren, 'email' => 'no address'], ['name' => ''] + $wren, ['name' => str_repeat('n', 201)] + $wren,
            ['email' => "keeper-{$mark}@quillfair.example", 'name' => 'Rook', 'roles' => [$this->study->slug => 'reader']],
            ['email' => "guest-{$mark}@quillfair.example", 'name' => 'Rail', 'roles' => ['no-study' => 'reader']],
            ['email' => "guest-{$mark}@quillfair.example", 'name' => 'Rail', 'roles' => [$this->study->slug => 'king']],
        ] as $person) {
            $told = $this->postJson('/api/v1/people', $person)->json();
            $this->book->add('person '.json_encode($person, JSON_THROW_ON_ERROR), array_diff_key($told, ['link' => 0, 'url' => 0]));
        }
        $rook = User::query()->where('email', "keeper-{$mark}@quillfair.example")->firstOrFail();
        foreach ([
            ['name' => 'Rook of the fair'], ['is_disabled' => true], ['is_disabled' => false, 'may_make_studies' => true],
            ['roles' => [$this->study->slug => 'editor']], ['roles' => [$this->study->slug => null]], ['is_administrator' => true],
        ] as $change) {
            $this->tell('PATCH', "/people/{$rook->id}", $change);
        }
        $this->tell('DELETE', "/people/{$rook->id}");
        $this->tell('DELETE', "/people/{$rook->id}");
        $this->book->check();
    }
}
