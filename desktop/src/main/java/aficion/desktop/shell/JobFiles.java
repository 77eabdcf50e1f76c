package aficion.desktop.shell;

import aficion.bench.BenchPlan;
import aficion.bench.practice.Played;
import aficion.bench.reason.FaultTable;
import aficion.desktop.practice.Rounds;
import aficion.desktop.preview.Sheet;
import aficion.desktop.screen.Papers;
import aficion.desktop.workbench.Drawer;
import aficion.desktop.workbench.Forming;
import aficion.desktop.workbench.Workbench;
import aficion.diagram.VehicleDiagram.Placed;
import aficion.files.DemoJobs;
import aficion.files.FileNames;
import aficion.files.JobFileException;
import aficion.files.JobLock;
import aficion.files.JobStore;
import aficion.files.Library;
import aficion.files.PartsBook;
import aficion.files.RecipeMaker;
import aficion.files.UserState;
import aficion.files.WireList;
import aficion.files.sheet.BoardFiles;
import aficion.files.sheet.DrawingSvg;
import aficion.files.sheet.FullSizeFiles;
import aficion.files.sheet.HandOver;
import aficion.files.sheet.Listing;
import aficion.files.sheet.Listings;
import aficion.files.sheet.PlugSheet;
import aficion.files.sheet.PowerSheet;
import aficion.files.sheet.ScheduleTable;
import aficion.files.sheet.Sheets;
import aficion.forming.FormingBoard;
import aficion.job.CircuitId;
import aficion.job.Design;
import aficion.job.FoundBox;
import aficion.job.Photograph;
import aficion.netlist.Netlist;
import aficion.quantity.UserUnits;
import aficion.size.Assessment;
import aficion.stock.Stock;
import aficion.words.Troubles;
import aficion.words.Words;
import aficion.working.Working;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.stage.Window;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/** Opening, saving and printing, with the questions that keep work from being lost. */
public final class JobFiles {
    private final Workbench bench;
    private static final Logger LOG = LoggerFactory.getLogger(JobFiles.class);

    private final UserPrompts prompts;
    private final UserState userState;
    private final Drawer drawer;
    private Optional<JobLock> lock = Optional.empty();
    private Consumer<Sheet> viewer = sheet -> write(sheet, sheet.pdf());

    /**
     * How the user is asked; tests answer in place of a person where the platform has no file
     * dialogs.
     */
    public interface UserPrompts {
        /** A file to open; empty when the user thought better of it. */
        Optional<Path> toOpen();

        /**
         * A file of another kind to read.
         *
         * @param suffix what its name ends in; several separated by semicolons
         */
        Optional<Path> toRead(String kind, String suffix);

        /**
         * A file to write.
         *
         * @param name the name proposed
         * @param kind the key of what kind of file it is
         */
        Optional<Path> toWrite(String name, String kind);

        /** What to do with unsaved work. */
        Answer aboutUnsaved(String name);

        /**
         * What to do with work that an earlier program left unsaved: take it up, throw it away, or
         * leave it for later.
         */
        Answer aboutLeft(String name, Instant at);

        /** A name for something; empty when the user thought better of it. */
        Optional<String> toName(String title, String proposal);

        void tell(String title, String text);
    }

    /** An answer about unsaved work. */
    public enum Answer {
        SAVE,
        DISCARD,
        STAY
    }

    JobFiles(Workbench bench, UserPrompts prompts, UserState userState) {
        this.bench = bench;
        this.prompts = prompts;
        this.userState = userState;
        this.drawer = new Drawer(new Kept(userState.library()));
        drawer.follow(bench);
        bench.document()
                .addListener((_, _, document) -> {
                    if (document.path().isEmpty()) {
                        letGo();
                    }
                });
    }

    /** The same for a bench that goes on where this one is. */
    JobFiles with(Workbench next) {
        var files = new JobFiles(next, prompts, userState);
        files.lock = lock;
        return files;
    }

    Workbench bench() {
        return bench;
    }

    /** The photographs of the job. */
    Papers papers() {
        return new JobPapers();
    }

    /** The photographs as this window chooses and keeps them. */
    private final class JobPapers implements Papers {
        @Override
        public Optional<Path> choose() {
            return prompts.toRead("file.picture", ".png;.jpg;.jpeg;.gif;.bmp");
        }

        @Override
        public void show(FoundBox from, FoundBox to) {
            print("moves.pdf", false, assessment -> PlugSheet.of(assessment.design(), from, to));
        }

        @Override
        public List<PartsBook.Entry> shelf() {
            var vehicle = bench.design().vehicle();
            var all = new ArrayList<>(PartsBook.shipped(vehicle));
            all.addAll(library().parts(vehicle).all());
            return all;
        }

        @Override
        public void show(String name, boolean toScale, Making making) {
            print(name, toScale, assessment -> making.of(assessment.design()));
        }

        @Override
        public void keep(String name, String kind, Making making) {
            export(name, kind, assessment -> making.of(assessment.design()));
        }

        @Override
        public Optional<Path> chooseList() {
            return prompts.toRead("file.csv", ".csv");
        }

        @Override
        public Photograph take(Path file, String words) throws IOException {
            return userState.photographs().take(file, words);
        }

        @Override
        public Photograph take(byte[] picture, String words) throws IOException {
            return userState.photographs().take(picture, words);
        }

        @Override
        public Optional<Path> find(String file) {
            return userState.photographs().find(file, bench.document().get().path());
        }
    }

    /** The hand-over book. */
    void printHandOver() {
        var job = bench.job();
        var stock = drawer.stock().get();
        var units = bench.units();
        var drawing = bench.draughtsman();
        var file = bench.document().get().path();
        var photographs = userState.photographs();
        print(
                "hand-over.pdf",
                false,
                assessment -> {
                    var design = assessment.design();
                    var diagrams =
                            design.circuits().stream()
                                    .filter(each -> !design.wiresOf(each.id()).isEmpty())
                                    .map(each -> drawing.one(design, each.id()))
                                    .toList();
                    return new HandOver(job.with(design), assessment, stock, units)
                            .book(diagrams, picture -> photographs.bytes(picture, file));
                });
    }

    /** Sheets are shown by that before they are written. */
    void showSheetsIn(Consumer<Sheet> view) {
        viewer = view;
    }

    /** Holds the job's file no longer. */
    void letGo() {
        lock.ifPresent(JobLock::close);
        lock = Optional.empty();
    }

    /** What is done with a file that this window holds. */
    private interface Locked {
        void with(Path path) throws JobFileException;
    }

    /**
     * Does something with a file and holds it from then on; says so and refuses when another window
     * has it. Where it cannot be done, the file held before stays held.
     */
    private boolean locked(Path path, Locked locked) throws JobFileException {
        boolean mine =
                lock.isPresent() && bench.document().get().path().filter(path::equals).isPresent();
        Optional<JobLock> taken = Optional.empty();
        try {
            if (!mine) {
                taken = userState.lock(path);
                if (taken.isEmpty()) {
                    prompts.tell(
                            Words.of("problem.held.title", path.getFileName()),
                            Words.of("problem.held.text", path.getFileName()));
                    return false;
                }
            }
        } catch (IOException e) {
            LOG.warn("a job cannot be held for this window", e);
        }
        try {
            locked.with(path);
        } catch (JobFileException e) {
            taken.ifPresent(JobLock::close);
            throw e;
        }
        if (!mine) {
            letGo();
            lock = taken;
        }
        remember(path);
        return true;
    }

    private void remember(Path path) {
        try {
            userState.remember(path);
        } catch (IOException e) {
            LOG.warn("the list of recent jobs cannot be kept", e);
        }
    }

    /** The jobs that were open lately. */
    List<Path> recent() {
        return userState.recent();
    }

    void openRecent(Path path) {
        if (mayLeave()) {
            open(path);
        }
    }

    /** Asks with dialogs over a window. */
    static UserPrompts dialogs(Window owner) {
        return new Dialogs(owner);
    }

    private String name() {
        return bench.document()
                .get()
                .path()
                .map(path -> path.getFileName().toString())
                .orElse(bench.design().vehicle().name());
    }

    /**
     * Whether what is on the bench may be put away: it is saved, or the user has said what to do
     * with it.
     */
    boolean mayLeave() {
        if (!bench.isUnsaved()) {
            return true;
        }
        return switch (prompts.aboutUnsaved(name())) {
            case SAVE -> save();
            case DISCARD -> true;
            case STAY -> false;
        };
    }

    void open() {
        if (mayLeave()) {
            prompts.toOpen().ifPresent(this::open);
        }
    }

    /** Opens a file; says what is wrong with it when it cannot be read. */
    public boolean open(Path path) {
        try {
            return locked(path, bench::open);
        } catch (JobFileException e) {
            prompts.tell(
                    Words.of("problem.open.title", path.getFileName()),
                    Troubles.say(e.trouble(), path));
            return false;
        }
    }

    void openDemo(String name) {
        if (mayLeave()) {
            DemoJobs.find(name).ifPresent(bench::take);
        }
    }

    boolean save() {
        return bench.document().get().path().map(this::save).orElseGet(this::saveAs);
    }

    /** Lays the photographs of the job beside it; those that cannot be laid there are kept. */
    private void settle(Path path, Optional<Path> before) {
        try {
            userState.photographs().settle(bench.job(), path, before);
        } catch (IOException e) {
            LOG.warn("photographs cannot be laid beside the job", e);
            prompts.tell(
                    Words.of("problem.photographs.title", path.getFileName()),
                    Words.of("problem.photographs.text", e.getMessage()));
        }
    }

    boolean saveAs() {
        return prompts.toWrite(fileName() + JobStore.SUFFIX, "file.aficion")
                .map(this::save)
                .orElse(false);
    }

    private boolean save(Path path) {
        var before = bench.document().get().path();
        try {
            boolean saved = locked(path, bench::save);
            if (saved) {
                settle(path, before);
            }
            return saved;
        } catch (JobFileException e) {
            boolean changed = e.trouble() instanceof JobFileException.ChangedOutside;
            prompts.tell(
                    Words.of(
                            changed ? "ask.changed.title" : "problem.save.title",
                            path.getFileName()),
                    changed
                            ? Words.of("ask.changed.text", path.getFileName())
                            : Troubles.say(e.trouble(), path));
            return false;
        }
    }

    private String fileName() {
        return FileNames.of(bench.design().vehicle().name());
    }

    void exportCsv() {
        export(
                "schedule.csv",
                "file.csv",
                assessment -> {
                    var out = new StringBuilder();
                    ScheduleTable.writeCsv(out, assessment, bench.units());
                    return out.toString().getBytes(StandardCharsets.UTF_8);
                });
    }

    /** A list for the bench as a sheet. */
    void printList(Listings.Kind kind) {
        var listing = listing(kind);
        print(
                kind.key() + ".pdf",
                false,
                assessment ->
                        Sheets.listing(assessment.design(), listing.apply(assessment.design())));
    }

    /** Labels to cut, on the sheet that was chosen. */
    void printLabelSheet() {
        var sheet = bench.labels().get();
        print("labels-sheet.pdf", true, assessment -> sheet.of(assessment.design()));
    }

    /** The same for a table or a label printer. */
    void exportList(Listings.Kind kind) {
        var listing = listing(kind);
        export(
                kind.key() + ".csv",
                "file.csv",
                assessment -> {
                    var out = new StringBuilder();
                    listing.apply(assessment.design()).writeCsv(out);
                    return out.toString().getBytes(StandardCharsets.UTF_8);
                });
    }

    /** A list with the work and the stock as they are now, of whatever design it is made. */
    private Function<Design, Listing> listing(Listings.Kind kind) {
        var job = bench.job();
        var stock = drawer.stock().get();
        var units = bench.units();
        return design -> kind.of(job.with(design), stock, units);
    }

    /** The forming board that is asked for, at full size; says why where the loom does not fit. */
    void printBoard(FullSizeFiles.Kind kind) {
        var forming = bench.forming().get();
        var units = bench.units();
        var name = "board-" + forming.loom() + kind.ending();
        bench.ask()
                .prepare(
                        design -> board(design, forming, kind, units),
                        made ->
                                made.ifPresentOrElse(
                                        bytes -> keepBoard(name, kind, bytes), this::tellNoBoard));
    }

    private void keepBoard(String name, FullSizeFiles.Kind kind, byte[] bytes) {
        if (kind.file().equals("pdf")) {
            look(name, bytes, true);
        } else {
            prompts.toWrite(fileName() + "-" + name, "file." + kind.file())
                    .ifPresent(path -> write(path, bytes));
        }
    }

    private void tellNoBoard() {
        prompts.tell(Words.of("problem.board.title"), Words.of("problem.board"));
    }

    private static Optional<byte[]> board(
            Design design, Forming forming, FullSizeFiles.Kind kind, UserUnits units) {
        return FormingBoard.of(design, forming.loom(), forming.surface())
                .board()
                .map(board -> {
                    var files = BoardFiles.of(design, board, units);
                    try {
                        return kind.of(files, forming.format());
                    } catch (IOException e) {
                        throw new UncheckedIOException(e);
                    }
                });
    }

    void printSchedule() {
        print("schedule.pdf", false, assessment -> Sheets.schedule(assessment, bench.units()));
    }

    /** The drawing that is shown: every circuit of the whole vehicle, or the one in focus. */
    void printPath() {
        var drawing = bench.draughtsman();
        if (bench.whole().get()) {
            print(
                    "paths.pdf",
                    false,
                    assessment -> {
                        var design = assessment.design();
                        var diagrams =
                                drawing.whole(design).circuits().stream()
                                        .map(Placed::diagram)
                                        .toList();
                        return Sheets.paths(design, diagrams);
                    });
            return;
        }
        bench.focus()
                .get()
                .ifPresent(circuit ->
                        print(
                                "path-" + FileNames.of(circuit.value()) + ".pdf",
                                false,
                                assessment -> {
                                    var design = assessment.design();
                                    return Sheets.path(design, drawing.one(design, circuit));
                                }));
    }

    /** A wire list to take in, with the name of its file; says what is wrong with it. */
    Optional<Map.Entry<String, WireList>> readWireList() {
        var path = prompts.toRead("file.csv", ".csv");
        if (path.isEmpty()) {
            return Optional.empty();
        }
        try {
            return Optional.of(
                    Map.entry(
                            path.get().getFileName().toString().replaceFirst("\\.[^.]*$", ""),
                            WireList.read(path.get())));
        } catch (IOException | IllegalArgumentException e) {
            prompts.tell(
                    Words.of("problem.list.title", path.get().getFileName()),
                    Words.of("problem.list.text", String.valueOf(e.getMessage())));
            return Optional.empty();
        }
    }

    /** The drawing that is shown: the whole vehicle, or the circuit in focus. */
    void exportSvg() {
        var drawing = bench.draughtsman();
        var whole = bench.whole().get();
        var focus = bench.focus().get();
        if (whole || focus.isPresent()) {
            export(
                    "path.svg",
                    "file.svg",
                    assessment -> {
                        var design = assessment.design();
                        var svg =
                                whole
                                        ? DrawingSvg.of(design, drawing.whole(design))
                                        : DrawingSvg.of(
                                                design, drawing.one(design, focus.orElseThrow()));
                        return svg.getBytes(StandardCharsets.UTF_8);
                    });
        }
    }

    /** The stock of the user's own files. */
    private record Kept(Library library) implements Drawer.Store {
        @Override
        public Stock stock() throws IOException {
            return library.stock();
        }

        @Override
        public void keep(Stock stock) throws IOException {
            library.keep(stock);
        }
    }

    /** The rounds of practice that the user has played. */
    Rounds rounds() {
        return new Rounds() {
            @Override
            public List<Played> played() throws IOException {
                return library().played();
            }

            @Override
            public void keep(Played round) throws IOException {
                library().keep(round);
            }
        };
    }

    /** What the user has in stock. */
    Drawer drawer() {
        return drawer;
    }

    /** What the user keeps for every job. */
    Library library() {
        return userState.library();
    }

    /** Keeps a circuit as a recipe of the user's own, under a name. */
    void keepRecipe(CircuitId circuit) {
        var design = bench.design();
        prompts.toName(Words.of("ask.recipe.title"), design.circuit(circuit).name())
                .filter(name -> !name.isBlank())
                .ifPresent(name -> keepRecipe(design, circuit, name.strip()));
    }

    private void keepRecipe(Design design, CircuitId circuit, String name) {
        var id = "own-" + FileNames.of(name.toLowerCase(Locale.ROOT));
        var says = Words.of("recipe.own", design.vehicle().name());
        bench.ask()
                .prepare(
                        now -> RecipeMaker.of(now, circuit, id, name, says),
                        text -> keepRecipe(id, text));
    }

    private void keepRecipe(String id, String text) {
        try {
            var file = library().keepRecipe(id, text);
            prompts.tell(Words.of("recipe.kept.title"), Words.of("recipe.kept", file));
        } catch (IOException | IllegalArgumentException e) {
            prompts.tell(Words.of("problem.recipe.title"), String.valueOf(e.getMessage()));
        }
    }

    /** Source against loads, ignition and gauges, on paper. */
    void printPower() {
        var job = bench.job();
        print(
                "power.pdf",
                false,
                assessment -> PowerSheet.of(job.with(assessment.design()), bench.units()));
    }

    void printFindings() {
        var work = bench.job().work();
        print(
                "findings.pdf",
                false,
                assessment -> Sheets.findings(assessment, work, bench.units()));
    }

    /** Some figures of the job with how they were reached. */
    void printWorkings(String title, List<Working> workings) {
        var design = bench.design();
        print("working.pdf", false, _ -> Sheets.workings(design, title, workings, bench.units()));
    }

    void printBench() {
        var job = bench.job();
        var setting = bench.setting().get();
        bench.focus()
                .get()
                .filter(circuit -> !bench.design().wiresOf(circuit).isEmpty())
                .ifPresent(circuit ->
                        print(
                                "bench-" + FileNames.of(circuit.value()) + ".pdf",
                                false,
                                assessment -> {
                                    var there =
                                            BenchPlan.tested(setting, assessment.design(), circuit);
                                    var plan =
                                            BenchPlan.of(
                                                    setting,
                                                    FaultTable.of(Netlist.of(there), circuit),
                                                    circuit);
                                    return Sheets.bench(
                                            job.with(assessment.design()), plan, bench.units());
                                }));
    }

    /** What makes the content of a file, from all that is worked out of the design it shows. */
    private interface Content {
        byte[] of(Assessment assessment) throws IOException;

        default byte[] made(Assessment assessment) {
            try {
                return of(assessment);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    /** Shows a sheet of the job as it is, once all is worked out of it, beside. */
    private void print(String name, boolean toScale, Content content) {
        bench.ask().prepareAssessed(content::made, bytes -> look(name, bytes, toScale));
    }

    private void look(String name, byte[] bytes, boolean toScale) {
        viewer.accept(new Sheet(fileName() + "-" + name, bytes, toScale));
    }

    /** Writes a sheet that was looked at. */
    void write(Sheet sheet, byte[] bytes) {
        prompts.toWrite(sheet.name(), "file.pdf").ifPresent(path -> write(path, bytes));
    }

    /** Writes a file of the job as it is, once all is worked out of it, beside. */
    private void export(String name, String kind, Content content) {
        prompts.toWrite(fileName() + "-" + name, kind)
                .ifPresent(path ->
                        bench.ask().prepareAssessed(content::made, bytes -> write(path, bytes)));
    }

    private void write(Path path, byte[] bytes) {
        try {
            Files.write(path, bytes);
        } catch (IOException e) {
            prompts.tell(
                    Words.of("problem.export.title", path.getFileName()),
                    Troubles.say(JobStore.unwritable(path, e), path));
        }
    }
}
