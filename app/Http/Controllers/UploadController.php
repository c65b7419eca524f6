<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Imports\ProposeImport;
use App\Actions\Imports\ReceiveUpload;
use App\Http\Requests\UploadRequest;
use App\Models\Study;
use App\Support\Tabular\TableReader;
use Illuminate\Http\JsonResponse;

final class UploadController extends Controller
{
    public function store(UploadRequest $request, Study $study, ReceiveUpload $receive, TableReader $reader, ProposeImport $propose): JsonResponse
    {
        $upload = $receive->execute($study, $request->person(), $request->upload());
        $table = $reader->open($upload->path());

        return new JsonResponse(['id' => $upload->id, 'file' => $upload->file_name, 'bytes' => $upload->bytes, 'proposal' => $propose->execute($study->load('domains'), $upload->file_name, $table)], 201);
    }
}
