<?php

declare(strict_types=1);

namespace App\Actions\Imports;

use App\Models\Study;
use App\Models\Upload;
use App\Models\User;
use GreaterReach\Core\Intake\FileProblem;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Storage;

/** Stores a file as it was received, until it is imported. */
final class ReceiveUpload
{
    /** @throws FileProblem when there is no room for it */
    public function execute(Study $study, User $user, UploadedFile $file): Upload
    {
        $upload = Upload::query()->create(['study_id' => $study->id, 'user_id' => $user->id, 'file_name' => $file->getClientOriginalName(), 'bytes' => (int) $file->getSize()]);
        if (Storage::putFileAs(Upload::FOLDER, $file, $upload->id) === false || filesize($upload->path()) !== $upload->bytes) {
            @unlink($upload->path());
            $upload->delete();
            throw FileProblem::noRoom();
        }

        return $upload;
    }
}
