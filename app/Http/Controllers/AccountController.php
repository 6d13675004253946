<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Accounts\AccountFile;
use App\Accounts\Accounts;
use App\Accounts\FitPassword;
use App\Accounts\Sessions;
use App\Http\Download;
use App\Http\SignedIn;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Validation\ValidationException;
use OpenApi\Attributes as OA;

/** What somebody does with an account of his own. */
final class AccountController
{
    public function __construct(private readonly Accounts $accounts, private readonly Sessions $sessions)
    {
    }

    #[OA\Get(path: '/api/account', operationId: 'account', summary: 'Where I am signed in', responses: [
        new OA\Response(response: 200, description: 'The latest first', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function show(Request $request): JsonResponse
    {
        return $this->account($request);
    }

    #[OA\Put(path: '/api/account/password', operationId: 'changePassword', summary: 'Change my password, and end every other session', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/PasswordChange')), responses: [
        new OA\Response(response: 200, description: 'Changed', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/FieldErrors')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function changePassword(Request $request): JsonResponse
    {
        $user = $this->known($request);
        $request->validate(['password' => ['required', 'string', new FitPassword($user->name, $user->email)]]);
        $request->session()->regenerate();
        // It is kept at once, so that it is in the list that is answered.
        $request->session()->save();
        $this->accounts->changePassword($user, $request->string('password')->toString(), $request->session()->getId());

        return $this->account($request);
    }

    #[OA\Delete(path: '/api/account/sessions', operationId: 'endSessions', summary: 'Sign out everywhere else', responses: [
        new OA\Response(response: 200, description: 'Ended', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function endOthers(Request $request): JsonResponse
    {
        $this->sessions->endAll(SignedIn::user($request), $request->session()->getId());

        return $this->account($request);
    }

    #[OA\Delete(path: '/api/account/sessions/{session}', operationId: 'endSession', summary: 'Sign out somewhere', parameters: [new OA\Parameter(name: 'session', in: 'path', required: true, schema: new OA\Schema(type: 'string'))], responses: [
        new OA\Response(response: 200, description: 'Ended', content: new OA\JsonContent(ref: '#/components/schemas/Account')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 404, description: 'No such session of yours', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function end(Request $request, string $session): JsonResponse
    {
        return $this->sessions->end(SignedIn::user($request), $session) ? $this->account($request) : new JsonResponse(['message' => 'You are not signed in there.'], 404);
    }

    #[OA\Get(path: '/api/account/file', operationId: 'accountFile', summary: 'All that is kept of my account, with a file for each plan of mine', responses: [
        new OA\Response(response: 200, description: 'A ZIP archive', content: new OA\MediaType(mediaType: 'application/zip', schema: new OA\Schema(type: 'string', format: 'binary'))),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
    ])]
    public function file(Request $request, AccountFile $file): Response
    {
        return Download::of($file->of(SignedIn::user($request)), 'application/zip', 'rundfunk-account.zip');
    }

    #[OA\Delete(path: '/api/account', operationId: 'deleteAccount', summary: 'Delete my account and every plan of mine, for good', requestBody: new OA\RequestBody(required: true, content: new OA\JsonContent(ref: '#/components/schemas/OwnPassword')), responses: [
        new OA\Response(response: 200, description: 'Deleted', content: new OA\JsonContent(ref: '#/components/schemas/Deleted')),
        new OA\Response(response: 401, ref: '#/components/responses/NotSignedIn'),
        new OA\Response(response: 422, description: 'Refused', content: new OA\JsonContent(ref: '#/components/schemas/FieldErrors')),
        new OA\Response(response: 429, description: 'Too many tries', content: new OA\JsonContent(ref: '#/components/schemas/Refusal')),
    ])]
    public function delete(Request $request): JsonResponse
    {
        $user = $this->known($request);
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
        $this->accounts->delete($user);

        return new JsonResponse(['deleted' => true]);
    }

    /** @throws ValidationException when the password given is not the user's: whoever found a browser signed in gets no further */
    private function known(Request $request): User
    {
        $user = SignedIn::user($request);
        $given = $request->input('current');

        return $this->accounts->find($user->email, is_string($given) ? $given : '') ?? throw ValidationException::withMessages(['current' => 'This is not your password.']);
    }

    private function account(Request $request): JsonResponse
    {
        return new JsonResponse(['sessions' => $this->sessions->of(SignedIn::user($request), $request->session()->getId())]);
    }
}
