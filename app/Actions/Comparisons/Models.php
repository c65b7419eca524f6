<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Clicks\CtrCurve;
use GreaterReach\Core\Meaning\BrandMatcher;
use GreaterReach\Core\Winning\ComfortDifficulty;
use GreaterReach\Core\Winning\LinksNeeded;
use GreaterReach\Core\Winning\WinModel;

/** What one study has taught: everything but the topics that must be known before its keywords can be weighed one by one. */
final readonly class Models
{
    public function __construct(
        public CtrCurve $curve,
        public BrandMatcher $brands,
        public ComfortDifficulty $comfort,
        public WinModel $winModel,
        public LinksNeeded $links,
    ) {
    }

    /** Writes them down for the processes beside this one. */
    public function keep(string $folder): void
    {
        file_put_contents("{$folder}/models", serialize($this)) ?: throw new \RuntimeException("{$folder} cannot be written to.");
    }

    public static function kept(string $folder): self
    {
        $models = unserialize((string) file_get_contents("{$folder}/models"), ['allowed_classes' => [self::class, CtrCurve::class, BrandMatcher::class, ComfortDifficulty::class, WinModel::class, LinksNeeded::class]]);

        return $models instanceof self ? $models : throw new \RuntimeException("{$folder} holds no models.");
    }
}
