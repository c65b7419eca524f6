<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Upload;

/** Throws a received file away, and with it those that nobody came back for within a day. */
final class ForgetUpload
{
    private const HOURS = 24;

    public function execute(string $id): void
    {
        $uploads = Upload::query()->where('id', $id)->orWhere('created_at', '<', now()->subHours(self::HOURS))->get();
        foreach ($uploads as $upload) {
            @unlink($upload->path());
            $upload->delete();
        }
    }
}
