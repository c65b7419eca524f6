<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Metrics\Metrics;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;

/** What is noted of each keyword while all of them go by: what comfort and links are learnt from. */
final class ComfortSamples
{
    /** @var list<float> */
    private array $comfort = [];

    /** @var list<float> */
    private array $linkDifficulties = [];

    /** @var list<float> */
    private array $linkMedians = [];

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
    }

    public function comfort(): ComfortDifficulty
    {
        return ComfortDifficulty::fromDifficulties($this->comfort);
    }

    public function links(): LinksNeeded
    {
        return LinksNeeded::fit($this->linkDifficulties, $this->linkMedians);
    }
}
