<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Imports\DeleteUpload;
use App\Actions\Imports\ImportFile;
use App\Models\Task;
use App\Models\Upload;

/** Brings an uploaded file in. */
final readonly class ImportTask implements TaskHandler
{
    public function __construct(private UploadedImport $orders, private ImportFile $import, private DeleteUpload $forget)
    {
    }

    public function run(Task $task, Progress $progress): array
    {
        $order = $this->orders->of($task, false);
        $progress->tell('reading the file', 0);
        $outcome = $this->import->execute($order, static fn(int $read) => $progress->tell('reading rows', $read));
        $this->forget->execute(Upload::query()->findOrFail(UploadedImport::uploadOf($task)));

        return ['outcome' => $outcome];
    }

    public function changesData(): bool
    {
        return true;
    }
}
