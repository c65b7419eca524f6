<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Catalogue\WeighedRow;
use App\Support\LineFile;
use GreaterReach\Core\Comparison\Ranking;
use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Priority\TacticLabel;
use GreaterReach\Core\Priority\TitleTest;
use GreaterReach\Core\Priority\Work;

/**
 * What one keyword brings to its topic: our pages that rank for it and, where it is open, itself. Also as a line of a file, since all
 * keywords of a topic must be there before it can be weighed.
 *
 * @phpstan-type Open array{?int, ?float, ?float, ?float, string, int, ?float, ?float, ?float, ?float, ?float, ?float, bool, ?float, ?int,
 *     string, ?float}
 */
final readonly class TopicMember
{
    private const FLAGS = JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION | JSON_THROW_ON_ERROR;

    /** @param array<array-key, int> $ownPages URL key → our best position with it, at whatever position */
    public function __construct(
        public string $topic,
        public string $keyword,
        public ?int $volume,
        public ?float $potential,
        public array $ownPages,
        /** Null where the keyword is not open. */
        public ?OpenKeyword $open,
    ) {
    }

    /** @param list<Ranking> $own our pages that rank for the keyword, at whatever position */
    public static function of(WeighedRow $row, array $own, ?OpenKeyword $open): self
    {
        $pages = [];
        foreach ($own as $ranking) {
            if ($ranking->url !== null) {
                $pages[$ranking->url] = min($ranking->position, $pages[$ranking->url] ?? $ranking->position);
            }
        }

        return new self((string) $row->topic, $row->keyword, $row->volume, $row->potential, $pages, $open);
    }

    /**
     * @param list<string> $paths files of lines, which are held in memory together
     *
     * @return \Generator<int, self> topic by topic
     */
    public static function ofFiles(array $paths): \Generator
    {
        $lines = [];
        foreach ($paths as $path) {
            foreach (LineFile::read($path) as $line) {
                $lines[] = $line;
            }
        }
        sort($lines, SORT_STRING);
        foreach ($lines as $line) {
            yield self::fromLine($line);
        }
    }

    /** Lines of one topic, and of no other, begin alike: they come together when lines are sorted. */
    public function toLine(): string
    {
        $open = $this->open;

        return json_encode([
            $this->topic, $this->keyword, $this->volume, $this->potential, (object) $this->ownPages, $open === null ? null : [
                $open->ownPosition, $open->difficulty, $open->cpc, $open->visitsNow, (string) $open->work->tactic, $open->work->target,
                $open->work->gain, $open->work->winChance, $open->work->expectedGain, $open->work->reach, $open->title?->gain,
                $open->title?->expectedGain, $open->title->isCalledFor ?? false, $open->reachNow, $open->linksToEarn,
                $open->intent->value, $open->fit,
            ],
        ], self::FLAGS)."\n";
    }

    public static function fromLine(string $line): self
    {
        /** @var array{string, string, ?int, ?float, array<array-key, int>, ?Open} $cells */
        $cells = json_decode($line, true, 3, JSON_THROW_ON_ERROR);
        [$topic, $keyword, $volume, $potential, $ownPages, $open] = $cells;

        return new self(
            $topic,
            $keyword,
            $volume,
            $potential,
            $ownPages,
            $open === null ? null : self::open($keyword, $volume, $potential, $open),
        );
    }

    /** @param Open $cells */
    private static function open(string $keyword, ?int $volume, ?float $potential, array $cells): OpenKeyword
    {
        [$position, $difficulty, $cpc, $visits, $tactic, $target, $gain, $chance, $expected, $reach] = $cells;
        [$titleGain, $titleExpected, $isCalledFor, $reachNow, $links, $intent, $fit] = \array_slice($cells, 10);

        return new OpenKeyword(
            $keyword,
            $position,
            $volume,
            $difficulty,
            $cpc,
            $visits,
            $potential,
            new Work(TacticLabel::parse($tactic), $target, $gain, $chance, $expected, $reach),
            $titleGain === null || $titleExpected === null ? null : new TitleTest($titleGain, $titleExpected, $isCalledFor),
            $reachNow,
            $links,
            Intent::from($intent),
            $fit,
        );
    }
}
