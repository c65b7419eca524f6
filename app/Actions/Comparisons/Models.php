<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Meaning\Topics;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;

/** What one study has taught: everything that must be known before its keywords can be weighed one by one. */
final readonly class Models
{
    public function __construct(
        public CtrCurve $curve,
        public BrandMatcher $brands,
        public ComfortDifficulty $comfort,
        public WinModel $winModel,
        public LinksNeeded $links,
        public Topics $topics,
        /** @var array<string, int> topic → keywords for which one of our URLs ranks within 50 */
        public array $ownPagesByTopic,
    ) {
    }
}
