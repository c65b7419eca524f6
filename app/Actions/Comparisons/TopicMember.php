<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Meaning\Intent;
use GreaterReach\Core\Plan\OpenKeyword;
use GreaterReach\Core\Priority\Horizon;
use GreaterReach\Core\Priority\TacticLabel;

/**
 * What one keyword brings to its topic: our pages that rank for it and, where it is open, itself. Also as a line of a file, since all
 * keywords of a topic must be there before it can be weighed.
 *
 * @phpstan-type Cells array{string, string, ?int, ?float, array<array-key, int>, ?int, int, ?float, ?float, ?float, ?float, ?float, ?float,
 *     ?string, string, ?int, string, ?float}
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

    /** Lines of one topic, and of no other, begin alike: they come together when lines are sorted. */
    public function toLine(): string
    {
        $head = [$this->topic, $this->keyword, $this->volume, $this->potential, (object) $this->ownPages];
        $open = $this->open;

        return json_encode($open === null ? $head : [
            ...$head, $open->ownPosition, $open->target, $open->difficulty, $open->cpc, $open->visitsNow, $open->gain, $open->winChance,
            $open->expectedGain, $open->horizon?->value, (string) $open->tactic, $open->linksToEarn, $open->intent->value, $open->fit,
        ], self::FLAGS)."\n";
    }

    public static function fromLine(string $line): self
    {
        /** @var Cells $cells all of them, or the first five */
        $cells = json_decode($line, true, 3, JSON_THROW_ON_ERROR);
        [$topic, $keyword, $volume, $potential, $ownPages] = $cells;

        return new self($topic, $keyword, $volume, $potential, $ownPages, \count($cells) === 5 ? null : self::open($cells));
    }

    /** @param Cells $cells */
    private static function open(array $cells): OpenKeyword
    {
        [, $keyword, $volume, $potential, , $position, $target, $difficulty, $cpc, $visits, $gain, $chance, $expected] = $cells;
        [, , , , , , , , , , , , , $horizon, $tactic, $links, $intent, $fit] = $cells;

        return new OpenKeyword(
            $keyword,
            $position,
            $target,
            $volume,
            $difficulty,
            $cpc,
            $visits,
            $potential,
            $gain,
            $chance,
            $expected,
            $horizon === null ? null : Horizon::from($horizon),
            TacticLabel::parse($tactic),
            $links,
            Intent::from($intent),
            $fit,
        );
    }
}
