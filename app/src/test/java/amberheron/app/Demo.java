package amberheron.app;

import amberheron.app.demo.DemoBook;
import amberheron.app.shell.Session;
import amberheron.io.book.JobBook;
import amberheron.io.catalogue.Catalogue;
import java.nio.file.Path;

/** Sessions for tests. */
public final class Demo {
    private Demo() {
    }

    /** A session on a fresh demo book; what must happen on the screen's thread happens at once. */
    public static Session session(Path home) {
        Session session = empty(home);
        session.close();
        JobBook book = JobBook.open(home.resolve("book.db"));
        DemoBook.fill(book, Catalogue.shipped(), home);
        return new Session(book, Catalogue.shipped(), home, Runnable::run);
    }

    /** A session on an empty book. */
    public static Session empty(Path home) {
        return new Session(JobBook.open(home.resolve("book.db")), Catalogue.shipped(), home, Runnable::run);
    }
}
