<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Imports\DeleteUpload;
use App\Actions\Imports\ProposeImport;
use App\Actions\Imports\SkipFile;
use App\Actions\Imports\StoreUpload;
use App\Http\Requests\UploadRequest;
use App\Models\Study;
use App\Models\Upload;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;

final class UploadController extends Controller
{
    public function store(UploadRequest $request, Study $study, StoreUpload $receive, ProposeImport $propose): JsonResponse
    {
        [$upload, $table] = $receive->execute($study, $request->person(), $request->upload());

        return new JsonResponse(
            [
                'id' => $upload->id,
                'file' => $upload->file_name,
                'bytes' => $upload->bytes,
                ...$propose->execute($study->load('domains'), $upload->file_name, $table),
            ],
            201,
        );
    }

    public function update(Request $request, Study $study, string $upload, SkipFile $leaveOut): JsonResponse
    {
        $request->validate(['leave_out' => ['required', 'boolean']]);
        $file = Upload::query()->where('study_id', $study->id)->findOrFail($upload);
        $leaveOut->execute($study, $file->file_name, $request->boolean('leave_out'));

        return new JsonResponse(['leave_out' => $request->boolean('leave_out')]);
    }

    /** Deletes an upload that will not be imported. */
    public function destroy(Study $study, string $upload, DeleteUpload $forget): JsonResponse
    {
        $forget->unwanted($study, $upload);

        return new JsonResponse(['gone' => $upload]);
    }
}
