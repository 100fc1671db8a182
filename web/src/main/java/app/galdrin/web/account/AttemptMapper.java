package app.galdrin.web.account;

import org.apache.ibatis.annotations.Mapper;

/** Attempts to sign in. */
@Mapper
interface AttemptMapper {

    Attempts.Failures failures(String account, String address, int minutes);

    void insert(String account, String address, boolean succeeded);

    void forgetFailures(String account, String address);

    void deleteOld();
}
