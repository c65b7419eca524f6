<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\Effects;
use GreaterReach\Core\Winning\Ground;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\PositionModel;

/**
 * What one study has taught: everything but the topics that must be known before its keywords can be weighed one by one. Written and read
 * in one way, wherever it is kept.
 *
 * @phpstan-import-type KeptComfort from ComfortDifficulty
 * @phpstan-import-type KeptModel from PositionModel
 * @phpstan-import-type KeptEffects from Effects
 * @phpstan-import-type KeptLinks from LinksNeeded
 * @phpstan-type KeptModels array{comfort: KeptComfort, position_model: KeptModel, links: KeptLinks,
 *     effects: KeptEffects, curve: list<float>, common_stems: list<string>}
 */
final readonly class Models
{
    private const HALVINGS = 50;

    /** Searches a month that lines of equal chance are drawn for. */
    public const TYPICAL_VOLUME = 100;

    public function __construct(
        public CtrCurve $curve,
        public ComfortDifficulty $comfort,
        public PositionModel $positions,
        public LinksNeeded $links,
        public Effects $effects,
        /** @var list<string> stems that relate no topics, as hexadecimal hashes */
        public array $commonStems = [],
    ) {
    }

    public function withCurve(CtrCurve $curve): self
    {
        return new self($curve, $this->comfort, $this->positions, $this->links, $this->effects, $this->commonStems);
    }

    public function withPositions(PositionModel $positions): self
    {
        return new self($this->curve, $this->comfort, $positions, $this->links, $this->effects, $this->commonStems);
    }

    public function withEffects(Effects $effects): self
    {
        return new self($this->curve, $this->comfort, $this->positions, $this->links, $effects, $this->commonStems);
    }

    /**
     * The difficulty at which the chance of a new page to reach a target passes a value, for a keyword of typical volume where nothing is
     * related: found by halving, as the chance falls with the difficulty.
     *
     * @param float $chance between 0 and 1, neither of the two
     *
     * @return ?float 0…100; null where the chance does not pass that value there
     */
    public function difficultyAt(float $chance, int $target): ?float
    {
        $shift = $this->effects->new->mean();
        $at = fn(float $difficulty): float => $this->positions
            ->chances($difficulty, Ground::none(), self::TYPICAL_VOLUME, $shift)->upTo($target);
        [$low, $high] = [0.0, 100.0];
        if ($at($low) < $chance || $at($high) >= $chance) {
            return null;
        }
        for ($half = 0; $half < self::HALVINGS; ++$half) {
            $middle = ($low + $high) / 2;
            [$low, $high] = $at($middle) >= $chance ? [$middle, $high] : [$low, $middle];
        }

        return $low;
    }

    /** @return KeptModels */
    public function toArray(): array
    {
        return [
            'comfort' => $this->comfort->toArray(),
            'position_model' => $this->positions->toArray(),
            'links' => $this->links->toArray(),
            'effects' => $this->effects->toArray(),
            'curve' => $this->curve->rates(),
            'common_stems' => $this->commonStems,
        ];
    }

    /**
     * @param array<string, mixed> $kept as toArray() gave it, perhaps with more beside it, and numbers as JSON may have changed them
     *
     * @return ?self null where nothing was learnt, or by other rules
     */
    public static function fromArray(array $kept): ?self
    {
        if (! isset($kept['curve'], $kept['comfort'], $kept['position_model'], $kept['links'], $kept['effects'], $kept['common_stems'])) {
            return null;
        }

        /** @var KeptModels $kept */
        return new self(
            CtrCurve::ofRates(array_map(floatval(...), $kept['curve'])),
            ComfortDifficulty::fromArray($kept['comfort']),
            PositionModel::fromArray($kept['position_model']),
            LinksNeeded::fromArray($kept['links']),
            Effects::fromArray($kept['effects']),
            $kept['common_stems'],
        );
    }
}
