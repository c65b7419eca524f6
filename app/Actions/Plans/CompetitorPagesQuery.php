<?php

declare(strict_types=1);

namespace App\Actions\Plans;

use App\Models\Study;
use App\Support\Sources\SourceMarket;
use App\Support\Sources\SourceProblem;
use App\Support\Sources\Sources;
use GreaterReach\Core\Terms\HtmlHeadings;
use Illuminate\Support\Facades\Cache;

/** What the connected source says of other sites' pages and of what people ask; an answer is good for a day. */
final readonly class CompetitorPagesQuery
{
    private const SECONDS = 86_400;

    public function __construct(private Sources $sources)
    {
    }

    /** @return ?list<string> what a page covers; null where the source does not have it, or there is none */
    public function headings(string $url): ?array
    {
        $found = $this->ask('page '.$url, function (string $source) use ($url): array {
            $html = $this->sources->get($source)->page($url);

            return $html === null ? ['has' => false, 'lines' => []] : ['has' => true, 'lines' => HtmlHeadings::of($html)];
        });

        return $found === null || ! $found['has'] ? null : $found['lines'];
    }

    /** @return list<string> what people ask around a keyword */
    public function questions(Study $study, string $keyword): array
    {
        $market = SourceMarket::of($study);
        $question = 'questions '.json_encode([$market->toQuery(), $keyword], JSON_THROW_ON_ERROR);
        $found = $this->ask($question, function (string $source) use ($market, $keyword): array {
            $related = $this->sources->get($source)->related($market, $keyword);
            $questions = array_filter($related, static fn(array $row): bool => $row['is_question']);

            return ['has' => true, 'lines' => array_map(static fn(array $row): string => $row['keyword'], array_values($questions))];
        });

        return $found['lines'] ?? [];
    }

    /**
     * @param \Closure(string): array{has: bool, lines: list<string>} $asked of the source by that name
     *
     * @return ?array{has: bool, lines: list<string>} null while the source does not answer
     */
    private function ask(string $question, \Closure $asked): ?array
    {
        $source = $this->sources->names()[0] ?? null;
        if ($source === null) {
            return null;
        }
        try {
            return Cache::remember(
                'said by '.$source.' '.hash('sha256', $question),
                self::SECONDS,
                static fn(): array => $asked($source),
            );
        } catch (SourceProblem) {
            return null;
        }
    }
}
