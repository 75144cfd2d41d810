package finebore.job;

/**
 * An overrule out of an older file, which named a part only. It blocks nothing until someone has
 * confirmed what it was meant for.
 *
 * @param where the part it named, in the words of that time
 * @param reason why, in the user's words
 */
public record OldOverrule(String where, String reason) {}
