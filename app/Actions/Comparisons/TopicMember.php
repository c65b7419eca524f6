<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use App\Support\Catalogue\WeighedRow;
use App\Support\Doubles;
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
 */
final readonly class TopicMember
{
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
        $pages = $this->ownPages === [] ? '' : json_encode((object) $this->ownPages, JSON_THROW_ON_ERROR);
        $names = addcslashes($this->topic, "\\\t\n\r")."\t".addcslashes($this->keyword, "\\\t\n\r");
        $line = "{$names}\t{$this->volume}\t{$pages}\t";
        if ($open === null) {
            return $line.Doubles::toHex([$this->potential])."\n";
        }
        $isCalledFor = (int) ($open->title->isCalledFor ?? false);

        return $line.Doubles::toHex([
            $this->potential, $open->difficulty, $open->cpc, $open->visitsNow, $open->work->gain, $open->work->winChance,
            $open->work->expectedGain, $open->work->reach, $open->title?->gain, $open->title?->expectedGain, $open->reachNow, $open->fit,
        ])."\t{$open->ownPosition}\t{$open->work->tactic}\t{$open->work->target}\t{$isCalledFor}\t{$open->linksToEarn}"
            ."\t{$open->intent->value}\n";
    }

    public static function fromLine(string $line): self
    {
        $cells = explode("\t", rtrim($line, "\n"));
        [$topic, $keyword] = array_map(stripcslashes(...), $cells);
        [, , $volume, $pages, $figures] = $cells;
        $figures = Doubles::fromHex($figures);
        $volume = self::int($volume);
        /** @var array<array-key, int> $ownPages */
        $ownPages = $pages === '' ? [] : json_decode($pages, true, 2, JSON_THROW_ON_ERROR);

        return new self(
            $topic,
            $keyword,
            $volume,
            $figures[0],
            $ownPages,
            isset($cells[5]) ? self::open($keyword, $volume, $figures, \array_slice($cells, 5)) : null,
        );
    }

    /**
     * @param list<?float> $figures
     * @param list<string> $cells
     */
    private static function open(string $keyword, ?int $volume, array $figures, array $cells): OpenKeyword
    {
        [$potential, $difficulty, $cpc, $visits, $gain, $chance, $expected, $reach] = $figures;
        [$titleGain, $titleExpected, $reachNow, $fit] = \array_slice($figures, 8);
        [$position, $tactic, $target, $isCalledFor, $links, $intent] = $cells;

        return new OpenKeyword(
            $keyword,
            self::int($position),
            $volume,
            $difficulty,
            $cpc,
            $visits,
            $potential,
            new Work(TacticLabel::parse($tactic), (int) $target, $gain, $chance, $expected, $reach),
            $titleGain === null || $titleExpected === null ? null : new TitleTest($titleGain, $titleExpected, $isCalledFor === '1'),
            $reachNow,
            self::int($links),
            Intent::from($intent),
            $fit,
        );
    }

    private static function int(string $cell): ?int
    {
        return $cell === '' ? null : (int) $cell;
    }
}
