<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

use GreaterReach\Core\Priority\Models;

/** What was learnt, as a file for the processes that weigh beside the one that learnt it. */
final class ModelsFile
{
    private const NAME = 'models.json';

    public static function path(string $folder): string
    {
        return $folder.'/'.self::NAME;
    }

    public static function write(string $folder, Models $models): void
    {
        $json = json_encode($models->toArray(), JSON_THROW_ON_ERROR | JSON_PRESERVE_ZERO_FRACTION);
        file_put_contents(self::path($folder), $json) === \strlen($json) ||
            throw new \RuntimeException("{$folder} cannot be written to.");
    }

    public static function read(string $folder): Models
    {
        /** @var array<string, mixed> $kept */
        $kept = json_decode((string) file_get_contents(self::path($folder)), true, 16, JSON_THROW_ON_ERROR);

        return Models::fromArray($kept) ?? throw new \RuntimeException("{$folder} holds no models.");
    }
}
