package org.swaplane.cli;

import java.io.FileDescriptor;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.file.InvalidPathException;
import org.swaplane.task.CannotProceedException;
import org.swaplane.wording.Reason;
import org.swaplane.wording.Wording;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.ScopeType;

/** The program: {@code swaplane COMMAND …}. */
@Command(
        name = "swaplane",
        description = "Proves, checks, sends out and brings back bilingual files.",
        mixinStandardHelpOptions = true,
        version = "Swap Lane 0.1.0",
        scope = ScopeType.INHERIT,
        exitCodeOnInvalidInput = ExitStatus.COULD_NOT_RUN,
        exitCodeOnExecutionException = ExitStatus.COULD_NOT_RUN,
        subcommands = {
            DemoCommand.class,
            OpenCommand.class,
            ScreenshotsCommand.class,
            InspectCommand.class,
            PseudoCommand.class,
            ProveCommand.class,
            CheckCommand.class,
            ConvertCommand.class,
            MergeCommand.class,
            PackageCommand.class,
            DeskCommand.class,
            BackCommand.class,
            CompareCommand.class,
            UpdateCommand.class,
            MemoryCommand.class,
            FillCommand.class,
            AnalyzeCommand.class,
            AlignCommand.class,
            ScoreCommand.class,
            ReportCommand.class
        })
public final class SwapLane implements Runnable {
    @Option(names = "--debug", scope = ScopeType.INHERIT, description = "On failure, print the trace.")
    private boolean debug;

    @CommandLine.Spec
    private CommandLine.Model.CommandSpec spec;

    public static void main(String[] arguments) {
        PrintStream out = TerminalOutput.of(FileDescriptor.out);
        System.setOut(out);
        System.setErr(TerminalOutput.of(FileDescriptor.err));
        int status = run(arguments);
        if (out.checkError()) {
            System.err.println("swaplane: " + Wording.text("command.output-lost"));
            status = ExitStatus.COULD_NOT_RUN;
        }
        System.exit(status);
    }

    static int run(String... arguments) {
        SwapLane program = new SwapLane();
        CommandLine commandLine = new CommandLine(program)
                .setCaseInsensitiveEnumValuesAllowed(true)
                .setColorScheme(CommandLine.Help.defaultColorScheme(CommandLine.Help.Ansi.OFF));
        commandLine.setParameterExceptionHandler((e, wrong) -> {
            System.err.println(
                    "swaplane: " + e.getMessage().lines().findFirst().orElse("") + "; see 'swaplane --help'");
            return ExitStatus.COULD_NOT_RUN;
        });
        commandLine.setExecutionExceptionHandler((e, command, parsed) -> {
            System.err.println("swaplane: " + message(e));
            if (program.debug) {
                e.printStackTrace();
            }
            return ExitStatus.COULD_NOT_RUN;
        });
        try {
            return commandLine.execute(arguments);
        } catch (StackOverflowError | OutOfMemoryError e) {
            System.err.println("swaplane: the file needs more memory than there is ("
                    + e.getClass().getSimpleName() + "); split it, or give Java more with JAVA_TOOL_OPTIONS=-Xmx8g");
            return ExitStatus.COULD_NOT_RUN;
        }
    }

    /** One line that says what, where, and what to do. */
    static String message(Exception e) {
        if (e instanceof CannotProceedException) {
            return e.getMessage();
        }
        boolean isKnown = e instanceof IOException || e instanceof InvalidPathException;
        return Reason.shown(isKnown ? Reason.of(e) : Reason.of(e) + "; run again with --debug for details");
    }

    @Override
    public void run() {
        throw new CommandLine.ParameterException(spec.commandLine(), "a command is missing");
    }
}
