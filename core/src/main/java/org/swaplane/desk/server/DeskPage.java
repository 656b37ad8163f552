package org.swaplane.desk.server;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.swaplane.desk.DeskReceipt;
import org.swaplane.desk.DeskTask;
import org.swaplane.desk.DeskVerdict;

/** The client's side of the desk in plain HTML: tasks, what was asked for, what came back, and what the desk says of it. */
final class DeskPage {
    private static final String HEAD = """
            <!DOCTYPE html>
            <html lang="en"><head><meta charset="utf-8"><title>%s</title>
            <meta name="viewport" content="width=device-width, initial-scale=1">
            <style>
            body { font: 15px/1.5 sans-serif; margin: 2rem auto; max-width: 60rem; padding: 0 1rem; color: #1d2b44; background: #faf6ee; }
            table { border-collapse: collapse; width: 100%%; margin: .5rem 0 1.5rem; background: #fffdf8; }
            th, td { text-align: start; padding: .4rem .6rem; border: 1px solid #d8cfbd; vertical-align: top; }
            th { background: #efe7d8; }
            a { color: #0b6b62; }
            .state { font-weight: bold; }
            .problem { color: #a02c1c; }
            pre { white-space: pre-wrap; background: #fffdf8; border: 1px solid #d8cfbd; padding: .6rem; }
            input, button { font: inherit; padding: .3rem .6rem; }
            </style></head><body>
            """;

    private final DeskStore store;
    private final String token;

    /** @param token stands in every form */
    DeskPage(DeskStore store, String token) {
        this.store = store;
        this.token = token;
    }

    String tasks() {
        StringBuilder html = new StringBuilder(HEAD.formatted("Client desk"));
        html.append(
                "<h1>Client desk</h1>\n<table><thead><tr><th>Task</th><th>State</th><th>Languages</th><th>Files</th>"
                        + "<th>Due</th><th>With</th></tr></thead><tbody>\n");
        for (DeskTask task : store.tasks()) {
            html.append("<tr><td><a href=\"/tasks/")
                    .append(escaped(task.id()))
                    .append("\">")
                    .append(escaped(task.title()))
                    .append("</a></td>");
            cell(html, "state", state(task.state()));
            cell(html, "", task.sourceLanguage() + " to " + String.join(", ", task.targetLanguages()));
            cell(html, "", String.valueOf(task.files().size()));
            cell(html, "", task.due());
            cell(html, "", task.person());
            html.append("</tr>\n");
        }
        return html.append("</tbody></table></body></html>\n").toString();
    }

    /** The page of one task, by its address; empty where there is none. */
    Optional<String> task(String path) {
        return path.startsWith("/tasks/")
                ? store.task(path.substring("/tasks/".length())).map(this::task)
                : Optional.empty();
    }

    private String task(DeskTask task) {
        StringBuilder html = new StringBuilder(HEAD.formatted(escaped(task.title())));
        html.append("<p><a href=\"/\">All tasks</a></p>\n<h1>")
                .append(escaped(task.title()))
                .append("</h1>\n");
        html.append("<p>Version ")
                .append(task.version())
                .append(" · <span class=\"state\" id=\"state\">")
                .append(state(task.state()))
                .append("</span> · ")
                .append(escaped(task.sourceLanguage()))
                .append(" to ")
                .append(escaped(String.join(", ", task.targetLanguages())));
        if (!task.due().isEmpty()) {
            html.append(" · due ").append(escaped(task.due()));
        }
        html.append("</p>\n");
        if (!task.instructions().isEmpty()) {
            html.append("<h2>Instructions</h2>\n<pre>")
                    .append(escaped(task.instructions()))
                    .append("</pre>\n");
        }
        html.append("<h2>Files</h2>\n<table><tbody>\n");
        for (DeskTask.Entry file : task.files()) {
            html.append("<tr>");
            cell(html, "", file.path());
            cell(html, "", file.bytes() + " bytes");
            html.append("</tr>\n");
        }
        html.append("</tbody></table>\n");
        addReturns(html, store.verdicts(task.id()));
        store.receipt(task.id()).ifPresent(receipt -> addReceipt(html, task, receipt));
        html.append("<h2>History</h2>\n<table><tbody>\n");
        for (DeskStore.Event event : store.events(task.id())) {
            html.append("<tr>");
            cell(html, "", event.at());
            cell(html, "", event.who());
            cell(html, "", event.what());
            html.append("</tr>\n");
        }
        return html.append("</tbody></table></body></html>\n").toString();
    }

    private static void addReturns(StringBuilder html, List<DeskVerdict> verdicts) {
        if (verdicts.isEmpty()) {
            return;
        }
        html.append("<h2>Returned</h2>\n");
        for (DeskVerdict verdict : verdicts) {
            html.append("<h3>Return ")
                    .append(verdict.number())
                    .append(", ")
                    .append(escaped(verdict.at()))
                    .append(": ")
                    .append(verdict.accepted() ? "accepted" : verdict.problems().size() + " problems")
                    .append("</h3>\n");
            if (!verdict.problems().isEmpty()) {
                html.append("<table><thead><tr><th>File</th><th>Unit</th><th>Problem</th></tr></thead><tbody>\n");
                for (DeskVerdict.Problem problem : verdict.problems()) {
                    html.append("<tr>");
                    cell(html, "", problem.file());
                    cell(html, "", problem.unit());
                    cell(html, "problem", problem.message());
                    html.append("</tr>\n");
                }
                html.append("</tbody></table>\n");
            }
        }
    }

    private void addReceipt(StringBuilder html, DeskTask task, DeskReceipt receipt) {
        html.append("<h2>Handed over</h2>\n<p id=\"receipt\">")
                .append(escaped(receipt.at()))
                .append(", by ")
                .append(escaped(receipt.person()))
                .append(". SHA-256 of the package: ")
                .append(escaped(receipt.sha256()))
                .append("</p>\n<form method=\"post\" action=\"/tasks/")
                .append(escaped(task.id()))
                .append("/give-back\"><input type=\"hidden\" name=\"token\" value=\"" + token
                        + "\"><label>Reason <input name=\"reason\" size=\"40\"></label>"
                        + " <button type=\"submit\">Give back</button></form>\n");
    }

    String missing() {
        return HEAD.formatted("Client desk")
                + "<h1>There is no such page</h1><p><a href=\"/\">All tasks</a></p></body></html>\n";
    }

    private static void cell(StringBuilder html, String style, String text) {
        html.append(style.isEmpty() ? "<td>" : "<td class=\"" + style + "\">")
                .append(escaped(text))
                .append("</td>");
    }

    private static String state(DeskTask.State state) {
        return state.name().toLowerCase(Locale.ROOT);
    }

    private static String escaped(String text) {
        return text.replace("&", "&amp;")
                .replace("<", "&lt;")
                .replace(">", "&gt;")
                .replace("\"", "&quot;")
                .replace("'", "&#39;");
    }
}
