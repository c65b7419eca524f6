<?php

declare(strict_types=1);

namespace App\Actions\Work;

use App\Actions\Imports\PreviewFile;
use App\Models\Task;

/** Looks through an uploaded file and says what it would bring. */
final readonly class PreviewTask implements TaskHandler
{
    public function __construct(private UploadedImport $orders, private PreviewFile $preview)
    {
    }

    public function run(Task $task, Progress $progress): array
    {
        $progress->tell('reading the file', 0);

        return [
            'preview' => $this->preview->execute(
                $this->orders->of($task, true),
                static fn(int $read) => $progress->tell('reading the file', $read),
            ),
        ];
    }

    public function changesData(): bool
    {
        return false;
    }
}
