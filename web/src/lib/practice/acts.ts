/** What a coach did, by the name of what was asked of the server; what has no words of its own is told by its name. */
const WORDS: Record<string, string> = {
	addClient: 'took on a client',
	saveClient: 'changed the profile',
	savePlan: 'saved the bench',
	saveLog: 'logged sets',
	takeSteps: 'took steps',
	answer: 'decided on the Desk',
	undoDecision: 'took a decision back',
	send: 'sent the plan',
	revokeLinks: 'closed the links',
	savePractice: 'changed the practice',
	eraseClient: 'erased a client',
	restoreBackup: 'restored a backup',
	takeBackup: 'took a backup',
	invite: 'invited a coach',
	removeAccount: 'removed an account',
	changePassword: 'changed the own password',
	endSessions: 'signed out everywhere'
};

export const actInWords = (did: string): string =>
	WORDS[did] ?? did.replace(/([A-Z])/g, (letter) => ` ${letter.toLowerCase()}`);
