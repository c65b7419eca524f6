<?php

declare(strict_types=1);

namespace Benchmark\Judgement;

use App\Actions\Plans\AddToPlan;
use App\Actions\Plans\ChangePlan;
use App\Models\PlanItem;
use App\Models\Study;
use App\Models\User;
use Carbon\Carbon;
use Illuminate\Support\Facades\Artisan;
use StandIn\Noise;
use Symfony\Component\Console\Output\BufferedOutput;

/**
 * The application's study of a simulated market: files in, ranked pages and plans out, by the commands that everybody uses.
 *
 * @phpstan-type Page array<string, string>
 */
final readonly class JudgedStudy
{
    /** Impressions that our results get in a quarter, as a share of the searches. */
    private const SEEN = 2.5;

    private function __construct(public string $slug, private Market $market, private string $folder, private int $seed)
    {
    }

    public static function make(string $slug, Market $market, string $folder, int $seed): self
    {
        $study = new self($slug, $market, $folder, $seed);
        $study->run('reach:study', [
            '--name' => $market->kind->name, '--domain' => Market::DOMAINS[0], '--competitor' => \array_slice(Market::DOMAINS, 1),
        ]);
        $known = array_map(
            static fn(array $one): array => [$one['text'], $one['volume'], $one['difficulty']],
            $market->keywords,
        );
        $study->import(['keyword', 'volume', 'difficulty'], $known, ['--kind' => 'keywords']);
        $sites = array_map(
            static fn(string $host, int $authority): array => [$host, $authority],
            Market::DOMAINS,
            $market->kind->authorities,
        );
        $study->import(['domain', 'authority'], $sites, ['--kind' => 'domains']);

        return $study;
    }

    /** Brings the places of a month in, of every domain. */
    public function importMonth(int $month, string $day): void
    {
        foreach (Market::DOMAINS as $domain => $host) {
            $rows = [];
            foreach ($this->market->keywords as $number => $keyword) {
                $place = $this->market->place($domain, $number, $month);
                if ($place !== null) {
                    $rows[] = [$keyword['text'], $place, $this->market->url($domain, $keyword['topic'])];
                }
            }
            $this->import(['keyword', 'position', 'url'], $rows, ['--kind' => 'rankings', '--domain' => $host, '--date' => $day]);
        }
    }

    /** Our own clicks of a quarter, drawn from the true curve. */
    public function importClicks(int $month, string $day): void
    {
        $noise = new Noise($this->seed);
        $rows = [];
        foreach ($this->market->keywords as $number => $keyword) {
            $place = $this->market->place(0, $number, $month);
            if ($place !== null && $place <= 30) {
                $seen = (int) round($keyword['volume'] * self::SEEN);
                $mean = $seen * Market::clicked($place);
                $clicks = max(0, min($seen, (int) round($mean + sqrt($mean) * $noise->normal("clicks {$number}"))));
                $rows[] = [$keyword['text'], $this->market->url(0, $keyword['topic']), $clicks, $seen, $place];
            }
        }
        $this->import(['query', 'page', 'clicks', 'impressions', 'position'], $rows, ['--kind' => 'performance', '--date' => $day]);
    }

    /** @return list<Page> of the ranked list that are not on the roadmap, best first */
    public function pages(string $preset = 'reach'): array
    {
        $all = $this->table('reach:weigh', ['--by' => 'topic', '--preset' => $preset]);

        return array_values(array_filter($all, static fn(array $page): bool => $page['roadmap'] === ''));
    }

    /** @return list<Page> of the auto-plan */
    public function plan(int $months, float $capacity): array
    {
        return $this->table('reach:plan', ['--months' => (string) $months, '--capacity' => (string) $capacity]);
    }

    /**
     * Puts pages on the roadmap as of a day and finishes them in a month.
     *
     * @param list<string> $topics
     *
     * @return array<string, PlanItem> topic → item
     */
    public function finish(array $topics, string $day, string $month): array
    {
        $study = Study::query()->where('slug', $this->slug)->firstOrFail();
        $user = User::query()->firstOrCreate(['email' => 'judge@ours.example'], ['name' => 'Judge', 'password' => 'no one signs in'])->id;
        Carbon::withTestNow($day.' 12:00:00', static fn() => app(AddToPlan::class)->topics($study, $topics, $user));
        foreach (PlanItem::of($study)->whereIn('name', $topics)->get() as $item) {
            $changes = ['month' => $month, 'status' => 'done', 'done_month' => $month];
            app(ChangePlan::class)->change($study, $item->id, $changes, $item->version, $user);
        }

        return PlanItem::of($study)->whereIn('name', $topics)->get()->keyBy('name')->all();
    }

    /**
     * @param list<string>      $headings
     * @param list<list<mixed>> $rows
     * @param array<string, mixed> $options
     */
    private function import(array $headings, array $rows, array $options): void
    {
        $path = $this->folder.'/file.csv';
        $lines = array_map(static fn(array $row): string => implode(',', $row), [$headings, ...$rows]);
        file_put_contents($path, implode("\n", $lines)."\n");
        $this->run('reach:import', ['file' => $path, ...$options]);
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return list<Page>
     */
    private function table(string $command, array $options): array
    {
        $lines = array_map(
            static fn(string $line): array => array_map(strval(...), str_getcsv($line, ',', '"', '')),
            explode("\r\n", rtrim($this->run($command, $options))),
        );
        $headings = array_shift($lines);

        return array_map(static fn(array $line): array => array_combine($headings, $line), $lines);
    }

    /** @param array<string, mixed> $options */
    private function run(string $command, array $options): string
    {
        $output = new BufferedOutput();
        if (Artisan::call($command, ['slug' => $this->slug, ...$options], $output) !== 0) {
            throw new \RuntimeException("{$command}: {$output->fetch()}");
        }

        return $output->fetch();
    }
}
