package app.galdrin.web.account.internal;

import app.galdrin.web.account.Attempts;
import org.apache.ibatis.annotations.Mapper;

/** Attempts to sign in. */
@Mapper
public interface AttemptMapper {

    Attempts.Failures failures(String account, String address, int minutes);

    void insert(String account, String address, boolean succeeded);

    void forgetFailures(String account, String address);

    void deleteOld();
}
