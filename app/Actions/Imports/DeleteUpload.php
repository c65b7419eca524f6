<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Exceptions\UserError;
use App\Models\Study;
use App\Models\Task;
use App\Models\TaskKind;
use App\Models\TaskStatus;
use App\Models\Upload;
use Illuminate\Support\Facades\Storage;

/** Throws a received file away. */
final class DeleteUpload
{
    public function execute(Upload $upload): void
    {
        Storage::delete($upload->stored());
        $upload->delete();
    }

    /** @throws UserError when someone has asked for its import, unless that is done */
    public function unwanted(Study $study, string $id): void
    {
        $upload = Upload::query()->where('study_id', $study->id)->findOrFail($id);
        $isWanted = Task::query()->where('study_id', $study->id)->where('kind', TaskKind::Import)
            ->where('payload->upload', $id)->where('status', '<>', TaskStatus::Done)->exists();
        if ($isWanted) {
            throw UserError::because('upload', 'This file is being imported. Cancel the import first.');
        }
        $this->execute($upload);
    }
}
