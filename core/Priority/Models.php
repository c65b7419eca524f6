<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;

/**
 * What one study has taught: everything but the topics that must be known before its keywords can be weighed one by one. Written and read
 * in one way, wherever it is kept.
 *
 * @phpstan-import-type KeptComfort from ComfortDifficulty
 * @phpstan-import-type KeptModel from WinModel
 * @phpstan-import-type KeptLinks from LinksNeeded
 * @phpstan-type KeptModels array{comfort: KeptComfort, win_model: KeptModel, links: KeptLinks, curve: list<float>}
 */
final readonly class Models
{
    public function __construct(
        public CtrCurve $curve,
        public ComfortDifficulty $comfort,
        public WinModel $winModel,
        public LinksNeeded $links,
    ) {
    }

    /** The same but for the curve. */
    public function withCurve(CtrCurve $curve): self
    {
        return new self($curve, $this->comfort, $this->winModel, $this->links);
    }

    /** @return KeptModels */
    public function toArray(): array
    {
        return [
            'comfort' => $this->comfort->toArray(),
            'win_model' => $this->winModel->toArray(),
            'links' => $this->links->toArray(),
            'curve' => $this->curve->rates(),
        ];
    }

    /**
     * @param array<string, mixed> $kept         as toArray() gave it, perhaps with more beside it, and numbers as JSON may have changed
     *     them
     * @param array<string, ?float> $own feature of a domain → ours
     *
     * @return ?self null where nothing was learnt
     */
    public static function fromArray(array $kept, array $own): ?self
    {
        if (! isset($kept['curve'], $kept['comfort'], $kept['win_model'], $kept['links'])) {
            return null;
        }

        /** @var KeptModels $kept */
        return new self(
            CtrCurve::ofRates(array_map(floatval(...), $kept['curve'])),
            ComfortDifficulty::fromArray($kept['comfort']),
            WinModel::fromArray($kept['win_model'], $own),
            LinksNeeded::fromArray($kept['links']),
        );
    }
}
