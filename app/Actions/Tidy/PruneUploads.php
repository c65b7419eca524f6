<?php

declare(strict_types=1);

namespace App\Actions\Tidy;

use App\Actions\Imports\DeleteUpload;
use App\Models\Upload;

/** Deletes uploads that were never imported. */
final readonly class PruneUploads
{
    public function __construct(private DeleteUpload $forget)
    {
    }

    /** @return int how many */
    public function execute(): int
    {
        $days = config()->integer('reach.waiting_days');
        /** @var list<Upload> $uploads */
        $uploads = Upload::query()->where('created_at', '<', now()->subDays($days))->orderBy('id')->get()->all();
        array_walk($uploads, $this->forget->execute(...));

        return \count($uploads);
    }
}
