<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Priority\TacticRule;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;

/**
 * What is noted of each keyword while all of them go by: what comfort and links are learnt from, and where our pages and our ground are.
 */
final class Lessons
{
    /** @var list<float> */
    private array $comfort = [];

    /** @var list<float> */
    private array $linkDifficulties = [];

    /** @var list<float> */
    private array $linkMedians = [];

    /** A byte a keyword. */
    private string $ownPages = '';

    /** Eight bytes a keyword. */
    private string $grounds = '';

    public function __construct(private readonly int $comfortVolume)
    {
    }

    /** @param ?float $median referring domains of the pages at 1–10 */
    public function add(?int $ownPosition, Metrics $metrics, ?float $median, bool $isBranded): void
    {
        $difficulty = $metrics->difficulty;
        if ($difficulty !== null && ! $isBranded && ComfortDifficulty::counts($ownPosition, $metrics->volume, $this->comfortVolume)) {
            $this->comfort[] = $difficulty;
        }
        if ($difficulty !== null && $median !== null) {
            $this->linkDifficulties[] = $difficulty;
            $this->linkMedians[] = $median;
        }
        $this->ownPages .= TacticRule::isOwnPage($ownPosition) ? '1' : '0';
    }

    /** Of the next keyword. */
    public function addGround(Ground $ground): void
    {
        $this->grounds .= FoundFacts::packed($ground);
    }

    public function comfort(): ComfortDifficulty
    {
        return ComfortDifficulty::fromDifficulties($this->comfort);
    }

    public function links(): LinksNeeded
    {
        return LinksNeeded::fit($this->linkDifficulties, $this->linkMedians);
    }

    /** @return string a `1` for each keyword for which one of our URLs ranks near; a `0` for the others */
    public function ownPages(): string
    {
        return $this->ownPages;
    }

    /** @return string as FoundFacts packs them, one for each keyword */
    public function grounds(): string
    {
        return $this->grounds;
    }
}
